-- Where the company's day begins and ends; empty: the time zone of the server.
alter table company_policy add column time_zone text not null default '';
-- Who may change a unit that somebody else made, its board, and what was typed in of a board.
alter table company_policy add column changers text not null default 'AT_WORK';
alter table unit add column made_by uuid references account (id);
-- Every change of a unit after it was made: what, by whom, when. Rows are only ever added.
create table unit_change (
    id          uuid primary key,
    unit_id     uuid not null references unit (id),
    account_id  uuid not null references account (id),
    at          timestamptz not null,
    what        text not null
);
create index unit_change_of on unit_change (unit_id, at);
-- A visit that was written elsewhere: by which file, when and by whom it was taken in.
alter table visit add column file_digest text;
alter table visit_event drop constraint visit_event_kind_check;
alter table visit_event add constraint visit_event_kind_check check (kind in ('CLOSED', 'REOPENED', 'PACK_CHANGED', 'SHOP_TEST', 'CHANGED_AFTER', 'BROUGHT'));
-- What a file says of another place is not what this one saw.
alter table visit_event add column of_file boolean not null default false;
