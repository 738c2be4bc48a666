-- What the runs of a composition showed, by its text and by the engine that ran it: made once, read in a moment.
create table pack_records (
    digest  text primary key,
    engine  text not null,
    content text not null
);
