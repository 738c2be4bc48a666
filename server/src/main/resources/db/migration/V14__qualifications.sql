-- What a person may do by law or by the maker: kept by the lead. It counts until the end of the last day.
create table qualification (
    id          uuid primary key,
    account_id  uuid not null references account (id),
    licence     text not null,
    number      text not null,
    region      text not null,
    until       date not null
);
create index qualification_of on qualification (account_id);
