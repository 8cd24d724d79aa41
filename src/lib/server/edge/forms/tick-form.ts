import type { RequestEvent } from '@sveltejs/kit';
import { orFail } from '../web/http';
import { personIn } from '../web/viewer';
import { tickPiece } from '../../done/attendance/tick';

/** Ticks a piece of a day off, from the page that shows it. */
export async function tick({ request, locals }: RequestEvent) {
	const form = await request.formData();
	const input = { day: form.get('day'), piece: form.get('piece'), done: form.get('done') === 'yes' };
	const ticked = await orFail(tickPiece(locals.app, personIn(locals), input).then(() => ({})));
	return 'failed' in ticked ? ticked.failed : undefined;
}
