-- Papers of a unit or of a kind of board: manual, diagram, a page of one; shown at the tests of their part.
create table paper (
    id         uuid primary key,
    unit_id    uuid references unit,
    overlay_id uuid references overlay,
    account_id uuid not null references account,
    made_at    timestamptz not null,
    title      text not null,
    part       text,
    page       int check (page >= 1),
    pages      int not null check (pages >= 1),
    type       text not null,
    content    bytea not null,
    check ((unit_id is null) <> (overlay_id is null))
);
create index paper_by_unit on paper (unit_id);
create index paper_by_overlay on paper (overlay_id);
