-- Packs that somebody of the company wrote, by the name in their text. Versions are only ever added; units follow one of them.
create table own_pack (
    name      text primary key,
    used      int not null,
    withdrawn boolean not null
);
create table own_pack_version (
    id       uuid primary key,
    pack     text not null references own_pack,
    version  int not null,
    title    text not null,
    content  text not null,
    made_by  uuid not null references account,
    made_at  timestamptz not null,
    unique (pack, version)
);
