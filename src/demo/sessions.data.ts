/** The sessions of Hut Season, as a coach would type them. */
export const SESSIONS = {
	'Ridge load': [
		'warm-up: circuit 2 rounds 30/10: march with arms up + hip circles per side + standing bird dog per side',
		'superset 3 rounds, rest 30 inside, 90 after: 10 goblet squat 3-1-1 @ 12 kg if the knee hurts: half squat + 8 per side one-arm row @ 12 kg or band row',
		'emom 8 min: 10 swing to shoulder @ 10 kg / 6 per side step-up @ 8 kg',
		'3 x 40 m suitcase carry @ 12/16/20 kg, rest 60',
		'cool-down: holds, rest 5: 30 s per side hip flexor stretch + 30 s per side calf stretch + 30 s child rest'
	],
	'Pull and press': [
		'warm-up: circuit 2 rounds 30/10: march on the spot + shoulder rolls + band pull-apart',
		'superset 3 rounds, rest 30 inside, 90 after: 12 bent-over row @ 8 kg + 10 push-up',
		'superset 3 rounds, rest 30 inside, 60 after: 10 overhead press @ 8 kg + 10 curl @ 8 kg',
		'3 x 10 per side dead bug, rest 30',
		'cool-down: holds, rest 5: 30 s per side chest stretch + 30 s seated fold'
	],
	'Stair intervals': [
		'warm-up: circuit 1 round 40/10: march on the spot + step touch + hip circles per side',
		'circuit 4 rounds 30/15, 45 between: stair climb + fast feet + mountain climber + skater step + march with arms up + incline climber',
		'cool-down: holds, rest 5: 30 s per side calf stretch + 30 s per side thigh stretch + 30 s per side hamstring stretch'
	],
	'Every minute': [
		'warm-up: circuit 2 rounds 30/10: march with arms up + hip hinge',
		'emom 12 min: 8 goblet squat 2-0-1 @ 12 kg + 6 push-up / 10 Romanian deadlift 2-0-1 @ 10 kg',
		'2 x 30 s per side side plank, rest 30',
		'cool-down: holds, rest 5: 30 s per side hip flexor stretch + 30 s lying twist'
	],
	'Valley circuit': [
		'warm-up: circuit 1 round 40/10: march on the spot + shoulder rolls + hip circles per side',
		'circuit 2 rounds 35/25: squat + knee push-up + reverse lunge per side + band row + glute bridge + plank + step-up per side + curl and press + dead bug per side + fast feet',
		'cool-down: holds, rest 5: 30 s per side calf stretch + 30 s per side chest stretch + 30 s child rest'
	],
	'Long stretch': [
		'holds 2 rounds, rest 5: 30 s per side hip flexor stretch + 30 s per side calf stretch + 30 s child rest + 30 s per side chest stretch'
	],
	'Carry test': [
		'warm-up: circuit 2 rounds 30/10: march with arms up + squat + hip hinge',
		'1 x 60 s plank, rest 90',
		'1 x 20 push-up, rest 120',
		'4 x 100 m pack carry @ 20 kg, rest 60',
		'cool-down: holds, rest 5: 30 s per side calf stretch + 30 s per side hip flexor stretch'
	]
} as const;

export type DemoSession = keyof typeof SESSIONS;

/** Built for later, on no day yet: the other formats, and what goes with a session. */
export const WORKSHOP = {
	'Hill repeats': [
		'note: On any slope. Walk back down; the breath decides when it has settled.',
		'warm-up: steady 6 min, talk test: brisk walk',
		'hiit 8 x 30/90: hill run + easy walk',
		'cool-down: holds, rest 5: 30 s per side calf stretch + 30 s per side hip flexor stretch + 30 s per side hamstring stretch',
		'recovery: 10 min easy walk home'
	],
	'Steady valley': [
		'warm-up: circuit 1 round 40/10: march on the spot + shoulder rolls + leg swing per side',
		'steady 30 min at 135-150 bpm: brisk walk',
		'cool-down: holds, rest 5: 30 s per side calf stretch + 30 s per side thigh stretch + 30 s seated fold'
	],
	'Beam day': [
		'note: The weaker side sets the count for the stronger one.',
		'link: How the beam lift looks | https://films.hutseason.example/beam-lift',
		'link: Songs to carry by | https://songs.hutseason.example/carry',
		'warm-up: circuit 2 rounds 30/10: march with arms up + hip hinge + squat to reach',
		'repeat 2 times, rest 60:',
		'setup 30 s: swap to the heavy pair',
		'superset 3 rounds, rest 15 inside, 60 after: 10 or 40 s beam lift @ 14 kg + 10 per side one-arm row @ 12 kg',
		'end repeat',
		'setup 20 s: chair against the wall',
		'3 x 10 1¼ incline push-up, rest 45',
		'3 x 12 curl @ 8 kg, drop 2 x 25% on last, rest 60',
		'cool-down: holds, rest 5: 30 s per side chest stretch + 30 s lat stretch + 30 s per side hip flexor stretch',
		'recovery: 5 min roll the upper back',
		'recovery: water, half a litre within the hour'
	],
	'Desk breaks': [
		'note: No need to change or to warm up long: a little every two hours.',
		'in pieces over the day',
		'when: Mid-morning',
		'2 x 8 incline push-up, rest 45',
		'when: Before lunch',
		'2 x 10 squat, rest 45',
		'when: Mid-afternoon',
		'2 x 12 band row, rest 45',
		'when: End of work',
		'holds, rest 5: 30 s per side hip flexor stretch + 30 s per side chest stretch'
	],
	'Finisher twelve': [
		'warm-up: circuit 2 rounds 30/10: march with arms up + squat to reach',
		'for time 3 rounds, limit 8 min: 12 squat + 8 push-up + 40 m suitcase carry @ 12 kg',
		'amrap 6 min: 8 per side reverse lunge + 8 band row + 20 s plank',
		'cool-down: holds, rest 5: 30 s per side calf stretch + 30 s child rest'
	],
	'Hut yard stations': [
		'warm-up: circuit 2 rounds 30/10: step jack + arm circles + squat to reach',
		'stations 1 round, 180 s each, 30 change, 13 people: 10 goblet squat @ 12 kg + 20 s plank / 8 push-up + 20 s wall sit / 10 backpack row @ 10 kg + 20 s march on the spot / 40 m suitcase carry @ 16 kg + 20 s glute bridge march',
		'cool-down: holds, rest 5: 30 s per side calf stretch + 30 s per side chest stretch'
	]
};

export const TAGS: Record<string, string[]> = {
	'Ridge load': ['carry', 'legs'],
	'Pull and press': ['upper'],
	'Stair intervals': ['cardio'],
	'Every minute': ['whole body'],
	'Valley circuit': ['whole body', 'hotel room'],
	'Carry test': ['test'],
	'Hill repeats': ['cardio', 'outdoors'],
	'Steady valley': ['cardio', 'outdoors'],
	'Beam day': ['carry', 'upper'],
	'Long stretch': ['mobility'],
	'Desk breaks': ['short', 'office'],
	'Finisher twelve': ['whole body', 'short'],
	'Hut yard stations': ['live', 'whole body']
};

/** The coach's own exercises, of the work in the huts. */
export const OWN_EXERCISES = [
	{
		name: 'Beam lift',
		countedIn: 'reps',
		perSide: false,
		tempo: [2, 0, 2, 1],
		pattern: 'hinge',
		primary: ['glutes', 'hamstrings'],
		assisting: ['lower back', 'forearms'],
		equipment: [{ item: 'loaded backpack', count: 1 }],
		position: 'standing',
		demands: {
			neck: 0,
			shoulder: 1,
			elbow: 0,
			wrist: 1,
			back: 3,
			hip: 2,
			knee: 1,
			ankle: 1,
			trunkPressure: 2,
			arms: 'down',
			balance: 0,
			canHoldOn: true,
			impact: 'none',
			floorTransfer: false,
			space: 'spot',
			lever: 'none',
			relativeLoad: 1.2
		},
		cues: ['Push the hips back, beam close to the legs', 'Stand tall, then set it down as slowly'],
		cautions: ['Sore back: wall hinge instead'],
		looksLike: 'Backpack deadlift',
		easier: 'Hip hinge',
		harder: 'Romanian deadlift'
	},
	{
		name: 'Rope haul',
		countedIn: 'seconds',
		perSide: false,
		tempo: null,
		pattern: 'pull back',
		primary: ['upper back', 'lats'],
		assisting: ['biceps', 'forearms'],
		equipment: [{ item: 'band', count: 1 }],
		position: 'standing',
		demands: {
			neck: 0,
			shoulder: 1,
			elbow: 1,
			wrist: 1,
			back: 1,
			hip: 1,
			knee: 1,
			ankle: 1,
			trunkPressure: 1,
			arms: 'shoulder',
			balance: 1,
			canHoldOn: false,
			impact: 'none',
			floorTransfer: false,
			space: 'spot',
			lever: 'short',
			relativeLoad: null
		},
		cues: ['Hand over hand, hips low', 'Pull with the back, not with the arms alone'],
		cautions: [],
		looksLike: 'Band row',
		easier: 'Band row',
		harder: null
	}
];

/** Week 3 onward: a fourth carry, a longer EMOM. */
export const RIDGE_LOAD_SECOND = [
	SESSIONS['Ridge load'][0],
	'superset 3 rounds, rest 30 inside, 90 after: 12 goblet squat 3-1-1 @ 12 kg if the knee hurts: half squat + 10 per side one-arm row @ 12 kg or band row',
	'emom 8 min: 12 swing to shoulder @ 10 kg / 6 per side step-up @ 8 kg',
	'4 x 40 m suitcase carry @ 12/16/20 kg, rest 60',
	SESSIONS['Ridge load'][4]
];

/** A week of Hut Season, Monday first; null is rest. */
export const WEEK: ({ session: DemoSession; kind: 'train' | 'cardio'; evening?: DemoSession } | null)[] = [
	{ session: 'Ridge load', kind: 'train' },
	{ session: 'Pull and press', kind: 'train' },
	{ session: 'Stair intervals', kind: 'cardio' },
	null,
	{ session: 'Every minute', kind: 'train', evening: 'Long stretch' },
	{ session: 'Valley circuit', kind: 'cardio' },
	null
];

export const TEST_DAYS = [1, 22, 41];
