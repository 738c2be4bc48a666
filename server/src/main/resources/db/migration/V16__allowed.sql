-- A board that a lead let be changed although nothing had proven it to be bad: which, by whom and why; empty where none was.
alter table visit add column allowed text not null default '';
