-- What the work of a closed visit takes by the figures of its pack, and what its parts cost; null where nobody counted.
alter table visit add column book_minutes double precision;
alter table visit add column parts_cost double precision;
