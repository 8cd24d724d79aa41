import { redirect } from '@sveltejs/kit';
import { changePassword, changeProfile } from '$lib/server/account/auth/account';
import { passwordChangedAt } from '$lib/server/records/coach';
import { eventsOf, SECURITY_EVENTS } from '$lib/server/account/auth/events';
import { sendNotice } from '$lib/server/account/auth/letters';
import { devicesOf, endDevice, signOut, signOutEverywhere } from '$lib/server/account/auth/login';
import {
	offerSecondFactor,
	renewRecoveryCodes,
	secondFactorOf,
	turnOffSecondFactor,
	turnOnSecondFactor
} from '$lib/server/account/auth/second-factor';
import { realClock } from '$lib/server/platform/clock';
import { dropToken, tokenIn } from '$lib/server/edge/web/cookies';
import { formText } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { qrPicture } from '$lib/server/edge/web/qr';
import { noteEvent, requireProof } from '$lib/server/edge/web/security';
import { coachIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const coach = coachIn(locals);
	const { app } = locals;
	const { offer, ...second } = await secondFactorOf(app, coach);
	return {
		confirmed: url.searchParams.has('confirmed'),
		/** What was typed before the password was asked for. */
		typed: Object.fromEntries(
			['name', 'email', 'zone', 'units'].flatMap((field) => {
				const value = url.searchParams.get(field);
				return value === null ? [] : [[field, value.slice(0, 254)]];
			})
		),
		zones: Intl.supportedValuesOf('timeZone'),
		passwordChangedAt: await passwordChangedAt(app, coach.id),
		second,
		offer: offer && { secret: offer.secret, picture: qrPicture(offer.uri) },
		devices: (await devicesOf(app, coach.id)).map((device) => ({
			...device,
			here: device.id === coach.login.id
		})),
		events: (await eventsOf(app, coach.id)).map((event) => ({ ...event, what: SECURITY_EVENTS[event.kind] }))
	};
};

/** Where somebody who was asked for their password comes back to. */
const BACK = '/account?confirmed';

/** Something that the password was given for a short while ago; the form is told of a refusal. */
async function withProof<T>(event: RequestEvent, at: string, work: () => Promise<T>) {
	requireProof(event, BACK);
	return orFail(work(), { at }, event.locals);
}

export const actions: Actions = {
	signOut: async (event) => {
		const { locals, cookies, url } = event;
		const token = tokenIn(cookies, url, 'coach');
		if (token) await signOut(locals.app, token);
		await noteEvent(event, 'signed-out');
		dropToken(cookies, url, 'coach');
		redirect(303, '/sign-in');
	},
	everywhere: async (event) => {
		const { locals, cookies, url } = event;
		await signOutEverywhere(locals.app.db, coachIn(locals).id);
		await noteEvent(event, 'signed-out-everywhere');
		dropToken(cookies, url, 'coach');
		redirect(303, '/sign-in');
	},
	endDevice: async (event) => {
		const { request, locals } = event;
		const id = formText(await request.formData(), 'device');
		const done = await orFail(endDevice(locals.app, coachIn(locals).id, id), { at: 'devices' });
		if ('failed' in done) return done.failed;
		await noteEvent(event, 'device-ended');
		return { at: 'devices', said: 'That device is signed out.' };
	},
	profile: async (event) => {
		const { request, locals } = event;
		const { app } = locals;
		const coach = coachIn(locals);
		const form = await request.formData();
		const typed = {
			name: formText(form, 'name'),
			email: formText(form, 'email'),
			zone: formText(form, 'zone'),
			units: formText(form, 'units')
		};
		// Whoever has the address can set a password: it is changed by somebody who knows the one there is.
		if (typed.email.trim().toLowerCase() !== coach.email)
			requireProof(event, `${BACK}&${new URLSearchParams(typed)}`);
		const done = await orFail(changeProfile(app, coach, typed), { at: 'profile', typed });
		if ('failed' in done) return done.failed;
		if (done.ok !== null) await sendNotice(app, { coachId: coach.id, change: 'address', to: done.ok });
		await noteEvent(event, 'profile-changed');
		return { at: 'profile', said: 'Saved.' };
	},
	password: async (event) => {
		const { request, locals } = event;
		const { app } = locals;
		const coach = coachIn(locals);
		const form = await request.formData();
		const input = { current: formText(form, 'current'), password: formText(form, 'password') };
		const work = app.limits.password.attempt(coach.id, () => changePassword(app, coach, input));
		const done = await orFail(work, { at: 'password' }, locals);
		if ('failed' in done) {
			if (done.failed.status === 401) await noteEvent(event, 'sign-in-failed');
			return done.failed;
		}
		await sendNotice(app, { coachId: coach.id, change: 'password' });
		await noteEvent(event, 'password-changed');
		return { at: 'password', said: 'Password changed. Your other devices are signed out.' };
	},
	offer: async (event) => {
		const { locals } = event;
		const done = await withProof(event, 'two-step', () => offerSecondFactor(locals.app, coachIn(locals)));
		return 'failed' in done ? done.failed : { at: 'two-step' };
	},
	turnOn: async (event) => {
		const { request, locals } = event;
		const { app } = locals;
		const { id } = coachIn(locals);
		const code = formText(await request.formData(), 'code');
		const done = await withProof(event, 'two-step', () =>
			app.limits.code.attempt(id, () => turnOnSecondFactor(app, id, code, realClock.now()))
		);
		if ('failed' in done) return done.failed;
		await sendNotice(app, { coachId: id, change: 'second-factor-on' });
		await noteEvent(event, 'second-factor-on');
		return { at: 'two-step', codes: done.ok };
	},
	turnOff: async (event) => {
		const { app } = event.locals;
		const coach = coachIn(event.locals);
		requireProof(event, BACK);
		const { since } = await secondFactorOf(app, coach);
		await turnOffSecondFactor(app, coach.id);
		if (since === null) return { at: 'two-step' };
		await sendNotice(app, { coachId: coach.id, change: 'second-factor-off' });
		await noteEvent(event, 'second-factor-off');
		return { at: 'two-step', said: 'Two-step sign-in is off.' };
	},
	codes: async (event) => {
		const { locals } = event;
		const done = await withProof(event, 'two-step', () => renewRecoveryCodes(locals.app, coachIn(locals).id));
		if ('failed' in done) return done.failed;
		await noteEvent(event, 'recovery-codes-made');
		return { at: 'two-step', codes: done.ok };
	}
};
