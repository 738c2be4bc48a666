-- What a visit was read with is kept for ever: the text of its pack, by digest. The digest of a visit is set when it is opened.
create table pack_text (
    digest     text primary key,
    family     text not null,
    content    text not null,
    first_seen timestamptz not null default now()
);
alter table visit add column pack_digest text references pack_text;

-- Entries carry the format they are written in. 1: all kinds with the same fields. 2: each kind with its own.
alter table evidence add column format int not null default 1;
alter table evidence alter column format drop default;

-- Recordings as they were taken; what they show stands in the entry.
create table recording (
    evidence_id uuid primary key references evidence,
    content     text not null
);

-- When a visit was closed and opened again, by whom, and how it stood. Rows are only ever added.
create table visit_event (
    id         uuid primary key,
    visit_id   uuid not null references visit,
    account_id uuid not null references account,
    kind       text not null check (kind in ('CLOSED', 'REOPENED', 'PACK_CHANGED')),
    at         timestamptz not null,
    note       text not null
);
create index visit_event_by_visit on visit_event (visit_id, at);
create index visit_by_unit on visit (unit_id);
create index unit_by_site on unit (site_id);
