create table account (
    id            uuid primary key,
    login         text not null unique,
    name          text not null,
    password_hash text not null,
    role          text not null check (role in ('TECHNICIAN', 'LEAD'))
);

create table site (
    id      uuid primary key,
    name    text not null,
    address text not null
);

create table unit (
    id       uuid primary key,
    site_id  uuid not null references site,
    label    text not null,
    location text not null,
    pack     text not null
);

create table visit (
    id            uuid primary key,
    number        bigint generated always as identity,
    unit_id       uuid not null references unit,
    technician_id uuid not null references account,
    complaint     text not null,
    scheduled_on  date not null,
    opened_at     timestamptz,
    closed_at     timestamptz,
    outcome       text,
    decided       text,
    verdict       text
);
create index visit_by_day on visit (scheduled_on);

-- What was found, in the order it was received. Rows are only ever added. The id is made by the client, so that a
-- repeated post is the same row. 'supersedes' takes another entry back or replaces it.
create table evidence (
    id          uuid primary key,
    place       bigint generated always as identity,
    visit_id    uuid not null references visit,
    account_id  uuid not null references account,
    kind        text not null,
    content     text not null,
    supersedes  uuid references evidence,
    made_at     timestamptz not null,
    received_at timestamptz not null default now()
);
create index evidence_by_visit on evidence (visit_id, place);
