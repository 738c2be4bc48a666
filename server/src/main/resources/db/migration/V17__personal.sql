-- How a person wants the program: language and units as a BCP 47 tag, and the hand that holds the device.
alter table account
    add column locale varchar(35),
    add column hand   varchar(5) not null default 'RIGHT';
