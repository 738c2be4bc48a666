-- How the company works: one row. Kinds of test that are not proposed are names, with commas between.
create table company_policy (
    id                int primary key check (id = 1),
    labour_per_minute double precision not null check (labour_per_minute > 0),
    trip_cost         double precision not null check (trip_cost >= 0),
    mistake_cost      double precision not null check (mistake_cost >= 0),
    not_allowed       text not null
);
insert into company_policy values (1, 1.5, 90, 400, '');
