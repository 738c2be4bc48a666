-- When on its day a job is wanted; a job without one comes after those that have one.
alter table visit add column scheduled_at time;
