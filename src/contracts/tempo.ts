import { array, number } from 'yup';

const PHASES = 'a tempo is four numbers of seconds, as in 3-1-1-0';

/** Four phases of a repetition in seconds: down, bottom, up, top. */
export const tempoSchema = array(
	number()
		.typeError(PHASES)
		.min(0, 'a tempo phase lasts 0 to 20 s')
		.max(20, 'a tempo phase lasts 0 to 20 s')
		.required()
)
	.length(4, PHASES)
	.test('moves', 'a tempo takes some time: 2-0-1-0, say', (phases) => !phases || phases.some((s) => s > 0));
