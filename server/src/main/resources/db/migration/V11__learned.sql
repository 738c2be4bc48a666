-- What closed visits said of the parts of each family at some time, for the priors of visits to come; one version is in use, or none.
create table learned (
    number bigint generated always as identity primary key,
    made_at timestamptz not null,
    account_id uuid not null references account,
    counts text not null,
    in_use boolean not null
);
create unique index learned_in_use on learned (in_use) where in_use;
-- What a shop found of a board that was changed: SOUND or BAD; null where nobody looked.
alter table visit add column shop_test text;
alter table visit_event drop constraint visit_event_kind_check;
alter table visit_event add constraint visit_event_kind_check check (kind in ('CLOSED', 'REOPENED', 'PACK_CHANGED', 'SHOP_TEST'));
