/** The page of docs that prints what every exercise demands, made from the data. */
import { DEMAND_WORDS, RATED, STANDARD, type Demands } from '$core/exercise';
import { CONDITIONS, LIMITATIONS, LIMITS, limitsOf, sourceOf } from '$core/kit';

const cellOf = (value: Demands[keyof Demands]): string =>
	typeof value === 'boolean' ? (value ? 'yes' : 'no') : value === null ? '' : String(value);

const rowsOf = (headings: readonly string[], rows: readonly (readonly string[])[]): string[] => [
	`| ${headings.join(' | ')} |`,
	`| ${headings.map(() => '---').join(' | ')} |`,
	...rows.map((cells) => `| ${cells.join(' | ')} |`)
];

/** A threshold in words: `knee at most 1, impact at most low`. */
function thresholdText(threshold: (typeof LIMITS)['no floor']['threshold']): string {
	const { most, arms, impact, balance, standsUp, without, patterns, only, offKnees, shallow, load } =
		threshold;
	return [
		...Object.entries(most ?? {}).map(
			([field, rating]) =>
				`${DEMAND_WORDS[field as keyof typeof DEMAND_WORDS].toLowerCase()} at most ${rating}`
		),
		arms ? `arms no higher than ${arms}` : '',
		impact ? `impact at most ${impact}` : '',
		balance
			? `balance at most ${balance.most}, from ${balance.heldFrom} on only where a hand can hold on`
			: '',
		standsUp ? 'no getting down to the floor' : '',
		without ? `not ${without.join(', ')}` : '',
		patterns ? `no ${patterns.join(', ')} unless seated` : '',
		only ? `only ${only}` : '',
		offKnees ? 'not on the knees: kneeling, all fours, or floor work that rates the knee 2 or more' : '',
		shallow ? 'standing: knee at most 1, and no combination that works the quads' : '',
		load ? `${Math.round(load * 100)} % of a usual load` : ''
	]
		.filter(Boolean)
		.join('; ');
}

/** The text of docs/exercise-demands.md. */
export function demandsPage(): string {
	const fields = [
		...RATED.map((field) => [field, DEMAND_WORDS[field]] as const),
		['arms', 'Arms'],
		['balance', 'Balance'],
		['canHoldOn', 'Can hold on'],
		['impact', 'Impact'],
		['floorTransfer', 'Floor'],
		['space', 'Space'],
		['lever', 'Lever'],
		['relativeLoad', 'Load']
	] as const;
	return `${[
		'# What exercises demand',
		'',
		'Written by `npm run schemas` from `src/core/exercise/data/demands/` and `src/core/kit/`; change the data, not this page.',
		'',
		'Ratings picture the movement as its cues describe it, at a usual load, for a healthy adult with some experience, at home.',
		'They are ours; common practice, no source.',
		'',
		'- **Joints and trunk pressure**: 0 practically none; 1 light, fine for a sore joint in almost everybody; 2 moderate, a sore',
		'  joint needs an alternative; 3 high, left out with a sore joint.',
		'- **Arms**: the highest position relative to the trunk. **Balance**: 0 lying, seated or both feet still; 1 staggered or both',
		'  feet moving; 2 one leg or quick turns; 3 airborne, or one leg with a large movement. **Can hold on**: one hand can rest on',
		'  a support without spoiling the movement.',
		'- **Impact**: low is ballistic without flight, or quick steps; high is flight and landing. **Floor**: it takes getting down and',
		'  up. **Space**: the smallest place in which it can be done. **Lever**: long is a straight limb or the whole straight body.',
		'- **Load**: kilograms of each hand (two weights) or in all (one weight, a pack) relative to a goblet squat of 1 by the same',
		'  person at the same effort.',
		'',
		'## Limits',
		'',
		'A limit is a threshold on these fields; nothing reads a name or a caution.',
		'',
		...rowsOf(
			['Limit', 'Threshold', 'Source'],
			LIMITATIONS.map((limit) => [limit, thresholdText(LIMITS[limit].threshold), LIMITS[limit].source])
		),
		'',
		'## Conditions',
		'',
		...rowsOf(
			['Condition', 'Limits', 'Source'],
			CONDITIONS.map((condition) => [condition, limitsOf(condition).join('; '), sourceOf(condition)])
		),
		'',
		'## Exercises',
		'',
		...rowsOf(
			['Exercise', ...fields.map(([, label]) => label)],
			STANDARD.all.map(({ name, demands }) => [name, ...fields.map(([field]) => cellOf(demands[field]))])
		)
	].join('\n')}\n`;
}
