-- What proof the company asks for before a part is condemned.
alter table company_policy add column school text not null default 'STRICT' check (school in ('USUAL', 'STRICT'));
