-- One name for one thing, as the interface and the code have it.
alter table plan_day rename column held to cancelled;
alter table session_version rename column sent_from to prescribed_from;
alter table notice rename to announcement;
alter index notice_challenge rename to announcement_challenge;
update challenge set plan = jsonb_set(plan, array['rules'], replace((plan->'rules')::text, '"kind": "rung"', '"kind": "variation"')::jsonb)
	where plan ? 'rules';
