/** When to stop and get help, in the same words wherever somebody trains. */
export const STOP_SIGNS =
	'Chest pain or pressure, fainting or dizziness, unusual shortness of breath, palpitations, sudden severe headache, calf pain or swelling.';
export const STOP_SIGNS_PREGNANT =
	'In pregnancy also bleeding, fluid loss, regular painful contractions, fewer movements of the baby.';
