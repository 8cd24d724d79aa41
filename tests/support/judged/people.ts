/** Invented people for judging: every kit with every level and every condition, and none. */
import { CONDITIONS, limitsOf, readKit, type Condition } from '$core/kit';
import { profileOf, type FitProfile } from '$core/fit';
import { LEVELS, type Level } from '$core/people';

export const KITS = {
	nothing: '',
	'mat and chair': 'mat',
	'light band': 'light band; mat',
	'bands of two ranks': 'medium band; heavy band',
	'4 and 8 kg pairs': 'pair of dumbbells 4 kg; pair of dumbbells 8 kg; mat',
	'one pair of 12 kg': 'pair of dumbbells 12 kg',
	'one 16 kg dumbbell': 'dumbbell 16 kg; mat',
	adjustable: '2 x adjustable dumbbell 2-24 kg, steps of 2 kg; bench; mat',
	backpack: 'backpack 10 kg; mat',
	everything:
		'2 x adjustable dumbbell 2-24 kg, steps of 1 kg; light band; medium band; heavy band; loop band; backpack 15 kg; mat; bench; step; pull-up bar; rope'
} as const;
export type KitName = keyof typeof KITS;

export interface Judged {
	kit: KitName;
	level: Level;
	condition: Condition | 'none';
	profile: FitProfile;
}

export const PEOPLE: readonly Judged[] = (Object.keys(KITS) as KitName[]).flatMap((kit) =>
	LEVELS.flatMap((level) =>
		(['none', ...CONDITIONS] as const).map((condition): Judged => ({
			kit,
			level,
			condition,
			profile: profileOf(
				{
					level,
					kit: readKit(KITS[kit]).kit,
					limits: condition === 'none' ? [] : limitsOf(condition),
					answered: true
				},
				'some experience'
			)
		}))
	)
);
