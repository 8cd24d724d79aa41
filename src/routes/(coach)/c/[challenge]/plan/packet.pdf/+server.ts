import { download } from '$lib/server/web/download';
import { orError } from '$lib/server/web/http';
import { packetPdf } from '$lib/server/exports/pdf/packet-pdf';
import { coachPacket } from '$lib/server/exports/packet';
import { coachIn } from '$lib/server/web/viewer';
import type { RequestHandler } from './$types';

/** `?person=` whose, without it anybody’s; `&ahead=yes` with the days that are not out yet. */
export const GET: RequestHandler = async ({ params, locals, url }) => {
	const person = url.searchParams.get('person') || null;
	const ahead = url.searchParams.get('ahead') === 'yes';
	const packet = await orError(coachPacket(locals.app, coachIn(locals).id, params.challenge, person, ahead));
	const name = [packet.challenge, packet.person, 'on paper'].filter(Boolean).join(', ');
	return download(await packetPdf(packet), `${name}.pdf`, 'application/pdf');
};
