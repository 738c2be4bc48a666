-- What things cost the company beside labour and trips, as JSON; empty where the usual figures count.
alter table company_policy add column rates text not null default '';

-- The year a unit was put in, where somebody knows it.
alter table unit add column installed_year int check (installed_year between 1900 and 2200);

-- What was offered to a customer. Rows are only ever added.
create table quote (
    id         uuid primary key,
    number     bigint generated always as identity,
    visit_id   uuid not null references visit,
    account_id uuid not null references account,
    made_at    timestamptz not null,
    content    text not null
);
create index quote_by_visit on quote (visit_id, number);

-- Photographs of a visit, re-encoded: nothing of the camera's own data is kept.
create table photo (
    id         uuid primary key,
    visit_id   uuid not null references visit,
    account_id uuid not null references account,
    made_at    timestamptz not null,
    label      text not null,
    on_report  boolean not null,
    width      int not null,
    height     int not null,
    content    bytea not null
);
create index photo_by_visit on photo (visit_id, made_at);
