-- What a closed visit came to, for the lead: whether all that was repaired was proven first (null where nobody knows), which parts, whether a
-- board was among them, and how much proof a stricter school would have asked for.
alter table visit add column proven boolean;
alter table visit add column repaired text not null default '';
alter table visit add column board_changed boolean not null default false;
alter table visit add column skipped int not null default 0;
create index visit_by_end on visit (closed_at);
