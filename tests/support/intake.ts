import type { IntakeSections } from '$contracts/intake';
import { SCREEN_KEYS } from '$core/health';
import { CONSENT } from '$core/people';

/** Everything answered by somebody with nothing to say of their health. */
export const ANSWERS: IntakeSections = {
	you: { displayName: 'Pia', zone: 'Europe/Oslo', hour: '18:30', units: 'lb' },
	training: { level: 'some experience', weights: 'some', active: true, minutes: 30, goals: 'A pull-up' },
	kit: { none: false, owned: [{ kind: 'item', item: 'mat', count: 1 }], other: '' },
	body: {
		age: '18 to 39',
		stance: 'freely',
		balance: 'steady',
		floor: 'easy',
		hurts: [],
		hurtsElsewhere: null,
		pregnantWeek: null,
		birthWeeks: null
	},
	health: Object.fromEntries(SCREEN_KEYS.map((key) => [key, false])) as IntakeSections['health'],
	consent: { agreed: true, version: CONSENT.version }
};
