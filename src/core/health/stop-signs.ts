/**
 * Signs at which to stop and to get medical help. ACSM's Guidelines for Exercise Testing and Prescription (signs of heart,
 * lung and metabolic disease) and, for pregnancy, ACOG Committee Opinion 804, table 3; both from memory, in our words.
 */
export const STOP_SIGN_WORDS = {
	chest: 'chest pain or pressure',
	faint: 'fainting or dizziness',
	breath: 'unusual shortness of breath',
	heart: 'palpitations',
	headache: 'sudden severe headache',
	calf: 'calf pain or swelling',
	pregnancy: 'in pregnancy: bleeding, fluid loss, painful contractions, fewer movements',
	other: 'something else that frightened me'
} as const;
export type StopSign = keyof typeof STOP_SIGN_WORDS;
export const STOP_SIGN_KEYS = Object.keys(STOP_SIGN_WORDS) as StopSign[];
