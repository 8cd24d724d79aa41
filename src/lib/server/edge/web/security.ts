import { redirect, type RequestEvent } from '@sveltejs/kit';
import { deviceName } from '../../account/auth/device';
import { recordEvent, recordEvents, type SecurityEvent } from '../../account/auth/events';
import { networkOf } from '../../account/auth/limits';
import { provenLately } from '../../account/auth/login';
import type { EnrolmentId } from '../../platform/ids';
import { coachIn } from './viewer';

type Asked = Pick<RequestEvent, 'locals' | 'request' | 'getClientAddress'>;

/** The network that a request comes from, for counting tries and for the record. */
export const networkIn = ({ getClientAddress }: Pick<Asked, 'getClientAddress'>): string =>
	networkOf(getClientAddress());

/** What the device of a request is called. */
export const deviceIn = ({ request }: Pick<Asked, 'request'>): string =>
	deviceName(request.headers.get('user-agent'));

/** Puts on record, and into the log, what a request did about who may enter. */
export async function noteEvent(
	event: Asked,
	kind: SecurityEvent['kind'],
	who: Pick<SecurityEvent, 'coachId' | 'enrolmentId'> = {}
): Promise<void> {
	const { locals } = event;
	const about = { coachId: locals.coach?.id ?? null, ...who };
	locals.log.info({ event: kind, coach: about.coachId, enrolment: about.enrolmentId }, 'security');
	await recordEvent(locals.app, { kind, ...about, network: networkIn(event), device: deviceIn(event) });
}

/** The same of several people at once; the log has how many. */
export async function noteEvents(
	event: Asked,
	kind: SecurityEvent['kind'],
	enrolmentIds: readonly EnrolmentId[]
): Promise<void> {
	const { locals } = event;
	const coachId = locals.coach?.id ?? null;
	locals.log.info({ event: kind, coach: coachId, enrolments: enrolmentIds.length }, 'security');
	await recordEvents(
		locals.app,
		{ kind, coachId, network: networkIn(event), device: deviceIn(event) },
		enrolmentIds
	);
}

/**
 * Lets a coach go on who gave the password on this device a short while ago; anybody else is asked for it first. Stands
 * before whatever takes data out, deletes it, or changes who may enter (OWASP ASVS 4.0.3, 3.7.1).
 * @param back path of the page to come back to
 */
export function requireProof({ locals }: Pick<Asked, 'locals'>, back: string): void {
	if (!provenLately(coachIn(locals), locals.app.clock.now()))
		redirect(303, `/account/confirm?then=${encodeURIComponent(back)}`);
}
