/**
 * Ordinary sessions for judging who gets what of them. The second dozen stays unseen while rules are worked on: it is
 * judged at the end, and both results are reported (docs/decisions/0063-demands.md).
 */
export const SEEN: Readonly<Record<string, readonly string[]>> = {
	'whole body, dumbbells': [
		'warm-up: circuit 2 rounds 30/10: march on the spot + arm circles + hip circles per side',
		'superset 3 rounds, rest 30 inside, 90 after: 10 goblet squat @ 12 kg + 10 per side one-arm row @ 10 kg',
		'superset 3 rounds, rest 30 inside, 90 after: 10 overhead press @ 8 kg + 10 Romanian deadlift @ 10 kg',
		'3 x 12 curl @ 8 kg, rest 60',
		'cool-down: holds, rest 5: 30 s per side calf stretch + 30 s per side chest stretch'
	],
	'shoulders and arms': [
		'superset 3 rounds, rest 30 inside, 60 after: 12 lateral raise @ 4 kg + 12 upright row @ 6 kg',
		'superset 3 rounds, rest 30 inside, 60 after: 12 front raise @ 4 kg + 12 hammer curl @ 8 kg + 12 overhead triceps press @ 8 kg',
		'3 x 12 rear raise @ 4 kg, rest 60'
	],
	'bodyweight circuit': [
		'warm-up: circuit 1 round 40/10: march on the spot + shoulder rolls + step touch',
		'circuit 3 rounds 30/15, 45 between: squat + push-up + reverse lunge per side + plank + glute bridge + mountain climber',
		'cool-down: holds, rest 5: 30 s per side hip flexor stretch + 30 s child rest'
	],
	'cardio intervals': [
		'circuit 4 rounds 30/15, 45 between: fast feet + jumping jack + skater step + high knees + boxing on the spot + step jack',
		'cool-down: holds, rest 5: 30 s per side calf stretch + 30 s per side thigh stretch'
	],
	bands: [
		'superset 3 rounds, rest 20 inside, 60 after: 12 band row @ medium band + 12 band chest press @ medium band',
		'superset 3 rounds, rest 20 inside, 60 after: 12 band curl @ medium band + 12 band pull-apart @ light band',
		'3 x 12 band squat @ medium band, rest 60',
		'3 x 12 band deadlift @ medium band, rest 60'
	],
	'every minute': [
		'emom 12 min: 8 goblet squat 2-0-1 @ 12 kg + 6 push-up / 10 bent-over row @ 8 kg',
		'2 x 30 s per side side plank, rest 30'
	],
	carries: [
		'4 x 40 m suitcase carry @ 12 kg, rest 60',
		'3 x 30 m two-hand carry @ 10 kg, rest 60',
		'3 x 20 m walking lunge, rest 60'
	],
	trunk: [
		'circuit 3 rounds 30/15, 30 between: dead bug per side + bicycle crunch + bird dog per side + leg lowering + side plank per side',
		'3 x 12 per side Russian twist @ 6 kg, rest 45'
	],
	'legs and hips': [
		'3 x 10 per side dumbbell split squat @ 8 kg, rest 60',
		'3 x 10 per side step-up, rest 60',
		'3 x 12 hip thrust, rest 60',
		'3 x 12 per side clamshell, rest 30',
		'3 x 15 calf raise, rest 30'
	],
	combinations: [
		'superset 3 rounds, rest 30 inside, 90 after: 10 squat and press @ 6 kg + 10 curl and press @ 6 kg',
		'amrap 10 min: 8 deadlift and row @ 8 kg + 8 per side lunge and curl @ 5 kg'
	],
	'walk and mobility': [
		'steady 25 min brisk walk',
		'holds, rest 5: 30 s per side hamstring stretch + 30 s per side hip flexor stretch + 30 s lying twist per side'
	],
	'push and swing': [
		'superset 3 rounds, rest 30 inside, 60 after: 10 floor press @ 10 kg + 12 swing @ 12 kg',
		'superset 3 rounds, rest 30 inside, 60 after: 10 chest fly @ 5 kg + 10 pullover @ 8 kg'
	]
};

export const UNSEEN: Readonly<Record<string, readonly string[]>> = {
	'first lift': [
		'warm-up: circuit 2 rounds 30/10: march with arms up + hip hinge + shoulder rolls',
		'3 x 8 front squat @ 8 kg, rest 90',
		'3 x 10 backpack row @ 10 kg, rest 60',
		'3 x 10 one-arm press @ 8 kg per side, rest 60',
		'cool-down: holds, rest 5: 30 s lat stretch + 30 s per side figure four stretch'
	],
	'arms again': [
		'superset 3 rounds, rest 20 inside, 60 after: 12 curl @ 6 kg + 12 per side triceps press back @ 4 kg',
		'superset 3 rounds, rest 20 inside, 60 after: 10 upright row @ 8 kg + 12 band pull-apart @ light band',
		'2 x 12 lying triceps press @ 4 kg, rest 60'
	],
	'floor circuit': [
		'circuit 3 rounds 40/20, 60 between: knee push-up + glute bridge march + plank with shoulder tap + donkey kick per side + half crunch + swimmer'
	],
	'jump day': [
		'circuit 3 rounds 20/20, 60 between: jump squat + line hop + skater jump + squat thrust + butt kicks',
		'3 x 8 broad jump, rest 90'
	],
	'band day': [
		'superset 3 rounds, rest 20 inside, 60 after: 12 band press @ medium band + 12 face pull @ light band',
		'superset 3 rounds, rest 20 inside, 60 after: 12 band lateral raise @ light band + 12 band triceps press @ medium band',
		'3 x 30 s band side step, rest 30',
		'3 x 10 per side band wood chop @ medium band, rest 30'
	],
	minutes: [
		'emom 10 min: 8 swing @ 10 kg / 6 per side step-up @ 6 kg',
		'emom 8 min: 8 table row / 8 incline push-up'
	],
	'loaded carries': [
		'3 x 40 m front carry @ 10 kg, rest 60',
		'3 x 30 m per side overhead carry @ 6 kg, rest 60',
		'3 x 60 m pack carry @ 15 kg, rest 60'
	],
	'core again': [
		'3 x 30 s hollow hold, rest 30',
		'superset 3 rounds, rest 15 inside, 45 after: 10 per side bird dog row @ 6 kg + 10 per side dead bug + 10 crunch with reach',
		'3 x 10 per side dumbbell wood chop @ 6 kg, rest 30'
	],
	'single legs': [
		'3 x 8 per side rear foot raised split squat, rest 60',
		'3 x 8 per side single-leg deadlift @ 8 kg, rest 60',
		'3 x 10 per side side lunge, rest 45',
		'3 x 12 per side single-leg calf raise, rest 30'
	],
	'long sets': [
		'for time 1 round, limit 20 min: 20 backpack squat and press @ 8 kg + 20 push press @ 8 kg + 20 clean and press @ 8 kg per side',
		'2 x 12 step-up and press @ 5 kg per side, rest 60'
	],
	'run and stretch': [
		'steady 20 min run',
		'holds, rest 5: 30 s per side calf stretch + 30 s front body stretch + 30 s hands behind the back + 30 s child rest'
	],
	'pull and hinge': [
		'4 x 5 pull-up, rest 120',
		'3 x 10 good morning @ medium band, rest 60',
		'3 x 10 per side staggered deadlift @ 8 kg, rest 60',
		'3 x 10 plank row @ 6 kg per side, rest 60'
	]
};
