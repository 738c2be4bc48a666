-- What stands on a unit's nameplate, as somebody typed it; nothing where nobody did.
alter table unit add column plate_maker varchar(80);
alter table unit add column plate_model varchar(80);
alter table unit add column plate_serial varchar(80);
alter table unit add column plate_rating varchar(80);
alter table unit add column plate_refrigerant varchar(40);
alter table unit add column plate_charge varchar(40);
alter table unit add column plate_gas varchar(20);
-- Height of the place above sea level, feet.
alter table unit add column plate_altitude double precision;
