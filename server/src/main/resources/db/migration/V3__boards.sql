-- A real board over its family: what somebody typed in from the door and the diagram. Versions are only ever added.
create table overlay (
    id     uuid primary key,
    name   text not null unique,
    family text not null
);
create table overlay_version (
    id         uuid primary key,
    overlay_id uuid not null references overlay,
    version    int not null,
    title      text not null,
    content    text not null,
    made_by    uuid not null references account,
    made_at    timestamptz not null,
    unique (overlay_id, version)
);
alter table unit add column overlay_id uuid references overlay;
-- The version a visit was closed with; an open visit uses the newest of its unit.
alter table visit add column overlay_version_id uuid references overlay_version;
