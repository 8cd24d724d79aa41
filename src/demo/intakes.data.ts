/** What the people of Hut Season answer before they begin, and again when something has changed. */
import type { IntakeSections } from '$contracts/intake';
import { readKit } from '$core/kit';
import { SCREEN_KEYS, type ScreenKey } from '$core/health';
import { CONSENT } from '$core/people';
import type { DemoPerson } from './people.data';

type Body = IntakeSections['body'];

/** What somebody says otherwise than most, and on which day of the challenge; day 0 and before: before it began. */
export interface DemoAnswers {
	onDay: number;
	body?: Partial<Body>;
	yes?: ScreenKey[];
	/** Another place, other things. */
	equipment?: string;
	minutes?: number;
	goals?: string;
}

interface DemoHealth {
	first: Omit<DemoAnswers, 'onDay'>;
	/** Again, later on. */
	later?: DemoAnswers[];
	/** Who said yes, on which day of the challenge, and for how many days. */
	cleared?: { onDay: number; who: string; note: string | null; days: number | null };
	/** What the coach notes for herself, and on which day. */
	note?: { onDay: number; text: string };
	paused?: { fromDay: number; toDay: number; onDay: number; reason: string };
}

const SORE_KNEE: Body['hurts'] = [{ place: 'knee', how: 'now' }];

/** Those of whom more is to say than their level and what they own. */
export const HEALTH: Readonly<Record<string, DemoHealth>> = {
	'Oren Falkestad': { first: { minutes: 45, goals: 'Two loads up to the hut on one day.' } },
	'Halvard Eik': {
		first: {
			minutes: 30,
			goals: 'Carry my own pack up again.',
			body: { age: '65 or over', balance: 'unsure', floor: 'rather not', stance: 'with a support' }
		},
		note: { onDay: 15, text: 'Sits down without hands now. Ask in week 5 whether the floor is an option.' }
	},
	'Zofia Brandys': {
		first: {
			goals: 'Stay strong until the summer.',
			body: { pregnantWeek: 16, age: '18 to 39' }
		},
		cleared: {
			onDay: 0,
			who: 'midwife Ewa Rudnik',
			note: 'Yes to all of it but lying flat; talk test; comes back in week 28.',
			days: 84
		}
	},
	'Noor Bastani': {
		first: { body: { hurts: [{ place: 'knee', how: 'before' }], age: '40 to 64' } },
		later: [{ onDay: 11, body: { hurts: SORE_KNEE, age: '40 to 64' } }],
		note: { onDay: 12, text: 'Knee: no steps until it is quiet. Sees a physiotherapist on Thursday.' }
	},
	'Anahí Quispe': {
		first: { goals: 'No gap while I travel.' },
		later: [{ onDay: 15, equipment: 'medium band; backpack 6 kg', minutes: 20 }]
	},
	'Emre Toksöz': {
		first: { minutes: 20 },
		later: [{ onDay: 21, yes: ['heartbeat'], minutes: 20 }]
	},
	'Kalani Mahoe': {
		first: {},
		paused: { fromDay: 21, toDay: 26, onDay: 20, reason: 'At sea for a week, asked before' }
	},
	'Lupe Arrieta': { first: { minutes: 20 }, later: [{ onDay: 19, minutes: 20 }] },
	'Sunniva Lode': { first: { body: { hurts: [{ place: 'wrist', how: 'now' }] } } },
	'Rui Quintal': { first: { body: { hurts: [{ place: 'back', how: 'now' }], age: '40 to 64' } } },
	'Dilnoza Yusupova': { first: { body: { birthWeeks: 30 } } },
	'Wairimu Kago': { first: { body: { hurts: [{ place: 'shoulder', how: 'before' }] } } }
};

/** All sections of somebody's answers. */
export function answersOf(person: DemoPerson, said: Omit<DemoAnswers, 'onDay'>): IntakeSections {
	const { kit, unread } = readKit(said.equipment ?? person.equipment);
	const hour = Math.floor(person.hour);
	return {
		you: {
			displayName: person.name.split(' ')[0] ?? person.name,
			zone: person.zone,
			hour: `${String(hour).padStart(2, '0')}:${person.hour - hour >= 0.5 ? '30' : '00'}`,
			units: person.zone.startsWith('Pacific/Honolulu') ? 'lb' : 'kg'
		},
		training: {
			level: person.level,
			weights: person.level === 'beginner' ? 'never' : person.level === 'trained' ? 'regularly' : 'some',
			active: person.level !== 'beginner',
			minutes: said.minutes ?? 30,
			goals: said.goals ?? null
		},
		kit: { none: false, owned: kit, other: unread.join('; ') },
		body: {
			age: person.level === 'trained' ? '40 to 64' : '18 to 39',
			stance: 'freely',
			balance: 'steady',
			floor: 'easy',
			hurts: [],
			hurtsElsewhere: null,
			pregnantWeek: null,
			birthWeeks: null,
			...said.body,
			expecting:
				typeof said.body?.pregnantWeek === 'number'
					? 'pregnant'
					: typeof said.body?.birthWeeks === 'number'
						? 'born'
						: 'no'
		},
		health: Object.fromEntries(
			SCREEN_KEYS.map((key) => [key, said.yes?.includes(key) ?? false])
		) as IntakeSections['health'],
		consent: { agreed: true, version: CONSENT.version }
	};
}
