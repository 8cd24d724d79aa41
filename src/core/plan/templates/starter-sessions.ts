/**
 * Sessions of our own that fill a template, as a coach would type them: bodyweight, a band and a chair, so that nearly
 * everyone can begin. What each is for stands in the tags.
 */
const WARM_UP = 'warm-up: circuit 2 rounds 40/10: march with arms up + hip circles per side + squat to reach';
const SHORT_WARM_UP =
	'warm-up: circuit 1 round 40/10: march with arms up + hip circles per side + squat to reach';
const LEGS_COOL_DOWN =
	'cool-down: holds, rest 5: 30 s per side hip flexor stretch + 30 s per side thigh stretch + 30 s per side hamstring stretch';
const UPPER_COOL_DOWN =
	'cool-down: holds, rest 5: 30 s per side chest stretch + 30 s per side cross-body shoulder stretch + 30 s per side upper arm stretch + 30 s child rest + 30 s per side lying twist';
const SHORT_COOL_DOWN =
	'cool-down: holds, rest 5: 30 s per side hip flexor stretch + 30 s per side chest stretch + 30 s child rest';

interface Starter {
	lines: readonly string[];
	tags: readonly string[];
}

export const STARTERS = {
	'Legs and pull': {
		lines: [
			WARM_UP,
			'superset 3 rounds, rest 20 inside, 45 after: 12 squat + 12 band row',
			'superset 3 rounds, rest 20 inside, 45 after: 8 per side reverse lunge + 12 band pull-apart',
			'2 x 12 glute bridge, rest 30',
			LEGS_COOL_DOWN
		],
		tags: ['legs', 'starter']
	},
	'Push and trunk': {
		lines: [
			WARM_UP,
			'superset 3 rounds, rest 20 inside, 45 after: 8 incline push-up + 10 band row',
			'superset 3 rounds, rest 20 inside, 60 after: 10 band press + 8 per side dead bug',
			'2 x 20 s side plank per side, rest 30',
			UPPER_COOL_DOWN
		],
		tags: ['upper', 'starter']
	},
	'Hips and back': {
		lines: [
			WARM_UP,
			'superset 3 rounds, rest 20 inside, 45 after: 12 band deadlift + 10 band pull-down',
			'superset 3 rounds, rest 20 inside, 45 after: 8 per side step-up + 12 face pull',
			'2 x 8 per side bird dog, rest 30',
			LEGS_COOL_DOWN
		],
		tags: ['legs', 'starter']
	},
	'Whole body circuit': {
		lines: [
			WARM_UP,
			'circuit 3 rounds 35/20, 60 between: squat + band row + knee push-up + glute bridge + step touch + plank',
			LEGS_COOL_DOWN
		],
		tags: ['whole body', 'starter']
	},
	'Brisk half hour': {
		lines: ['steady 25 min, talk test: brisk walk', LEGS_COOL_DOWN],
		tags: ['cardio', 'starter']
	},
	'Ups and downs': {
		lines: [WARM_UP, 'hiit 8 x 30/60: stair climb + easy walk', LEGS_COOL_DOWN],
		tags: ['cardio', 'starter']
	},
	'Loosen up': {
		lines: [
			'warm-up: circuit 2 rounds 40/10: cat and camel + open book per side + lunge with turn per side + shoulder rolls',
			SHORT_COOL_DOWN
		],
		tags: ['mobility', 'starter']
	},
	'Short legs': {
		lines: [
			SHORT_WARM_UP,
			'circuit 3 rounds 30/15, 30 between: squat + glute bridge + reverse lunge per side',
			SHORT_COOL_DOWN
		],
		tags: ['legs', 'short', 'starter']
	},
	'Short upper': {
		lines: [
			SHORT_WARM_UP,
			'circuit 3 rounds 30/15, 30 between: knee push-up + band row + band press',
			SHORT_COOL_DOWN
		],
		tags: ['upper', 'short', 'starter']
	},
	'Short trunk and breath': {
		lines: [
			SHORT_WARM_UP,
			'circuit 3 rounds 30/15, 30 between: dead bug per side + plank + march on the spot',
			SHORT_COOL_DOWN
		],
		tags: ['trunk', 'short', 'starter']
	},
	'Where you stand': {
		lines: [
			SHORT_WARM_UP,
			'1 x 60 s plank, rest 120',
			'1 x 60 s squat, rest 120',
			'1 x 60 s knee push-up, rest 60',
			SHORT_COOL_DOWN
		],
		tags: ['test', 'starter']
	}
} as const satisfies Record<string, Starter>;

export type StarterName = keyof typeof STARTERS;
