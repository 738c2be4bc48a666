-- Rates that a company has kept know the room of a van from now on; the demo's until somebody says another.
update company_policy set rates = (rates::jsonb || '{"vanLitres": 250}'::jsonb)::text where rates <> '';
