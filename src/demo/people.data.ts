import type { Level } from '$core/people';

/** One invented volunteer, and how they take to the challenge. */
export interface DemoPerson {
	name: string;
	zone: string;
	level: Level;
	equipment: string;
	/** Chance of doing a due day at all, of doing only part of it, of being late with it. */
	does: number;
	part: number;
	late: number;
	/** Hour of their own day at which they usually check in. */
	hour: number;
	/** Days from which a chance of doing counts, in place of `does`. */
	from?: { day: number; does: number }[];
	joinsOnDay?: number;
	excused?: { days: number[]; reason: string; onDay: number };
	/** What the coach has changed for them, on the day on which she did. */
	differs?: { onDay: number; exercise: string; instead: string; why: string }[];
	hurts?: Record<number, string>;
	notes?: Record<number, string>;
	wins?: Record<number, string>;
	/** By which share they do more at the second test than is asked. */
	stronger?: number;
	/** The left side does one less of each set from that day on. */
	uneven?: { from: number };
	/** Their mood is low from that day on. */
	low?: { from: number };
}

const BELLS = 'pair of dumbbells 8 kg; mat; chair; step; backpack';
const HEAVY = 'pair of dumbbells 12 kg; dumbbell 16 kg; mat; step; chair; backpack';
const BAND = 'band medium; mat; chair; backpack';

/** All names invented. The zones go from Honolulu to Apia. */
export const PEOPLE: DemoPerson[] = [
	{
		name: 'Oren Falkestad',
		zone: 'Europe/Lisbon',
		level: 'trained',
		equipment: HEAVY,
		wins: { 22: 'Ten clean press-ups without a pause.' },
		stronger: 0.2,
		does: 0.97,
		part: 0.05,
		late: 0.04,
		hour: 6.5,
		notes: { 22: 'Carry felt easy, could take more.' }
	},
	{
		name: 'Tamsin Reeve-Adu',
		zone: 'Europe/Oslo',
		level: 'some experience',
		equipment: BELLS,
		does: 0.94,
		part: 0.1,
		late: 0.15,
		hour: 6.4,
		notes: { 23: 'Slept 5 h, legs heavy.' }
	},
	{
		name: 'Ikenna Obiora',
		zone: 'Africa/Lagos',
		level: 'trained',
		equipment: HEAVY,
		does: 0.9,
		part: 0.04,
		late: 0.06,
		hour: 6.2
	},
	{
		name: 'Maarit Salonkylä',
		zone: 'Europe/Helsinki',
		level: 'trained',
		equipment: HEAVY,
		does: 0.98,
		part: 0.04,
		late: 0.05,
		hour: 5.9,
		notes: { 22: 'Plank 74 s, nine more than on day 1.' }
	},
	{
		name: 'Bao Trinh',
		zone: 'Asia/Bangkok',
		level: 'some experience',
		equipment: BELLS,
		does: 0.86,
		part: 0.15,
		late: 0.12,
		hour: 18
	},
	{
		name: 'Yelena Dravec',
		zone: 'Europe/Zagreb',
		level: 'beginner',
		equipment: BAND,
		does: 0.9,
		part: 0.15,
		late: 0.1,
		hour: 20,
		from: [{ day: 17, does: 0 }],
		notes: { 19: 'New shift at work, evenings are gone.' }
	},
	{
		name: 'Rui Quintal',
		zone: 'Europe/Lisbon',
		level: 'some experience',
		equipment: BELLS,
		low: { from: 17 },
		does: 0.7,
		part: 0.2,
		late: 0.2,
		hour: 7.5
	},
	{
		name: 'Sunniva Lode',
		zone: 'Europe/Oslo',
		level: 'beginner',
		equipment: BAND,
		does: 0.68,
		part: 0.25,
		late: 0.25,
		hour: 19.5
	},
	{
		name: 'Pedro Anzures',
		zone: 'America/Tijuana',
		level: 'trained',
		equipment: HEAVY,
		does: 0.96,
		part: 0.08,
		late: 0.06,
		hour: 6.8,
		notes: { 19: 'Stopped at the EMOM: visitors.' }
	},
	{
		name: 'Wairimu Kago',
		zone: 'Africa/Nairobi',
		level: 'some experience',
		equipment: BELLS,
		does: 0.8,
		part: 0.1,
		late: 0.1,
		hour: 6
	},
	{
		name: 'Halvard Eik',
		zone: 'Europe/Oslo',
		level: 'beginner',
		equipment: 'chair; band light; stairs',
		does: 0.85,
		part: 0.5,
		late: 0.02,
		hour: 9,
		notes: {
			1: 'I am 71 and my balance is not what it was; I hold the chair.',
			15: 'Sit to chair without hands, all of them.'
		},
		differs: [
			{
				onDay: 4,
				exercise: 'Mountain climber',
				instead: 'Wall plank',
				why: 'At the wall: no need to get down to the floor and up again.'
			},
			{
				onDay: 4,
				exercise: 'Skater step',
				instead: 'March on the spot',
				why: 'Both feet under you, a hand on the chair.'
			}
		]
	},
	{
		name: 'Noor Bastani',
		zone: 'Asia/Tehran',
		level: 'some experience',
		equipment: HEAVY,
		does: 0.88,
		part: 0.2,
		late: 0.08,
		hour: 17.5,
		hurts: { 10: 'left knee, 2 of 10, stepping down', 23: 'left knee, 4 of 10, sharp in the bent-over row' }
	},
	{
		name: 'Ciarán Molloy',
		zone: 'Europe/Dublin',
		level: 'some experience',
		equipment: BELLS,
		uneven: { from: 15 },
		does: 0.82,
		part: 0.12,
		late: 0.15,
		hour: 21
	},
	{
		name: 'Lupe Arrieta',
		zone: 'America/Bogota',
		level: 'beginner',
		equipment: BAND,
		does: 0.92,
		part: 0.15,
		late: 0.08,
		hour: 7,
		from: [
			{ day: 13, does: 0 },
			{ day: 20, does: 1 }
		],
		excused: { days: [9, 10, 12, 13], reason: 'Chest cold, in bed with fever', onDay: 9 },
		notes: { 20: 'Back after the cold. Slow, but back.' }
	},
	{
		name: 'Jiho Seo',
		zone: 'Asia/Seoul',
		level: 'some experience',
		equipment: BELLS,
		does: 0.78,
		part: 0.2,
		late: 0.15,
		hour: 22
	},
	{
		name: 'Beatrix Umland',
		zone: 'Europe/Vienna',
		level: 'beginner',
		equipment: BAND,
		does: 0.7,
		part: 0.2,
		late: 0.15,
		hour: 19,
		from: [
			{ day: 8, does: 0.75 },
			{ day: 16, does: 0.05 }
		]
	},
	{
		name: 'Anahí Quispe',
		zone: 'America/La_Paz',
		level: 'trained',
		equipment: HEAVY,
		does: 0.93,
		part: 0.1,
		late: 0.1,
		hour: 6.1,
		excused: { days: [16, 17], reason: 'Two days on buses to the Yungas', onDay: 15 },
		notes: { 19: 'Hotel room, backpack with water bottles for weight.' }
	},
	{
		name: 'Tevita Fonua',
		zone: 'Pacific/Tongatapu',
		level: 'trained',
		equipment: HEAVY,
		does: 0.9,
		part: 0.06,
		late: 0.06,
		hour: 5.8
	},
	{
		name: 'Ingrith Solvei',
		zone: 'Atlantic/Reykjavik',
		level: 'some experience',
		equipment: BELLS,
		does: 0.9,
		part: 0.1,
		late: 0.1,
		hour: 7.2,
		joinsOnDay: 9
	},
	{
		name: 'Kalani Mahoe',
		zone: 'Pacific/Honolulu',
		level: 'some experience',
		equipment: BELLS,
		does: 0.84,
		part: 0.12,
		late: 0.12,
		hour: 6.6
	},
	{
		name: 'Zofia Brandys',
		zone: 'Europe/Warsaw',
		level: 'some experience',
		equipment: BAND,
		does: 0.9,
		part: 0.35,
		late: 0.05,
		hour: 8.5,
		notes: { 2: 'Week 17. My midwife says yes to all of it except lying flat; I do those at the wall.' }
	},
	{
		name: 'Emre Toksöz',
		zone: 'Europe/Istanbul',
		level: 'beginner',
		equipment: BAND,
		does: 0.74,
		part: 0.25,
		late: 0.2,
		hour: 23
	},
	{
		name: 'Aroha Pene',
		zone: 'Pacific/Auckland',
		level: 'trained',
		equipment: HEAVY,
		does: 0.95,
		part: 0.05,
		late: 0.05,
		hour: 5.9
	},
	{
		name: 'Dilnoza Yusupova',
		zone: 'Asia/Tashkent',
		level: 'beginner',
		equipment: BAND,
		wins: { 21: 'Carried the shopping up four floors and did not stop.' },
		does: 0.8,
		part: 0.2,
		late: 0.1,
		hour: 7.8
	},
	{
		name: 'Sefa Leota',
		zone: 'Pacific/Apia',
		level: 'some experience',
		equipment: BELLS,
		does: 0.83,
		part: 0.1,
		late: 0.12,
		hour: 6.3
	},
	{
		name: 'Mirela Codrean',
		zone: 'Europe/Bucharest',
		level: 'beginner',
		equipment: BAND,
		does: 0.75,
		part: 0.2,
		late: 0.1,
		hour: 18.5,
		from: [{ day: 15, does: 0 }]
	}
];

/** Whose mailbox makes trouble: behind the + the stand-in for a mail server reads how. */
const TROUBLE: Record<string, string> = { 'Tevita Fonua': '+bounces', 'Kalani Mahoe': '+full' };

export const mailOf = (name: string): string =>
	`${name.split(' ')[0]?.normalize('NFD').replace(/[^\w]/g, '').toLowerCase() ?? 'someone'}${TROUBLE[name] ?? ''}@hutseason.example`;

/** Those whose links are printed: one who does well, one with a sore knee, one on the far side of the world. */
export const LINKED: readonly string[] = ['Oren Falkestad', 'Noor Bastani', 'Aroha Pene'];
