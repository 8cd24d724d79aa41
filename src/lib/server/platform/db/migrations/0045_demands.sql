-- What an exercise demands of the body is rated field by field; impact and balance were fields of their own before. Own
-- exercises keep both as ratings, and every field that is not set counts as the highest of its pattern.
update exercise
set body = (body - 'impact' - 'balance') || jsonb_build_object('demands', jsonb_strip_nulls(jsonb_build_object(
	'impact', body -> 'impact', 'balance', body -> 'balance')));
