/** Who may enter where, for every route that there is: one that is new is asked about before it can be wrongly open. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Coach } from '$lib/server/records/coach';
import { mayDo, ownerOf, workOf } from '$lib/server/edge/web/roles';
import { DEEDS } from '$lib/server/training/challenge/deeds';
import { enrol } from '$lib/server/people/enrol';
import { giveRole, inviteHelper } from '../support/coaches';
import { makeChallenge, makeCoach, PASSWORD } from '../support/context';
import { addressOf, allRoutes, type Route } from '../support/routes';
import { cookieIn, FORM, serveWorld, type Served } from '../support/served';

/** Routes that belong to nobody in particular, each with why. */
const OPEN: Record<string, string> = {
	'/': 'leads on to where somebody belongs',
	'/sign-in': 'how a coach gets in',
	'/join/[secret]': 'the secret lets in',
	'/calendar/[secret].ics': 'the secret lets in; programs have no cookie',
	'/healthz': 'says that it answers, and nothing of anybody',
	'/api/demo/clock': 'not there outside the demo; asks for the coach itself',
	'/api/demo/sign-in': 'not there outside the demo',
	'/api/demo/phone': 'not there outside the demo; asks for the participant itself',
	'/api/push/stop': 'the id in a notification stops the reminders of its device, and does nothing else',
	'/sign-in/code': 'the second step of getting in',
	'/sign-in/forgot': 'how a coach gets in who has forgotten the password',
	'/reset/[secret]': 'the secret lets in',
	'/invite/[secret]': 'the secret lets in',
	'/start/[code]': 'the page of a challenge on which people join; a code lets in',
	'/start/[code]/[wish]': 'what was sent to somebody’s address lets in, sealed',
	'/link': 'asks for an address, and answers the same whether somebody has it',
	'/offline': 'says what is there without a connection, and nothing of anybody',
	'/api/operator/[command]': 'a token from the data directory lets in'
};

const ROUTES = allRoutes();
let served: Served;
/** Cookies of a coach without a part in the challenge, and of those who were invited to it. */
let other: string;
let helper: string;
let viewer: string;
/** Another challenge of the same owner, in which the helper only looks on, with somebody in it. */
let second: { challenge: string; person: string };
beforeAll(async () => {
	served = await serveWorld('matrix', {}, async (context, world) => {
		let helping: Coach | null = null;
		await makeCoach(context, 'Nila');
		for (const [name, role] of [
			['Kaija', 'coach'],
			['Vesa', 'viewer']
		] as const) {
			const coach = await inviteHelper(context, world, name, role);
			if (role === 'coach') helping = coach;
		}
		if (!helping) throw new Error('nobody helps');
		const challenge = await makeChallenge(context, world.coach, { name: 'Second weeks' });
		await giveRole(context, { ...world, challenge }, helping, 'viewer');
		const [link] = await enrol(
			context,
			challenge,
			[
				{
					name: 'Ilse',
					email: 'ilse@example.org',
					zone: 'Europe/Oslo',
					level: 'beginner',
					kit: [],
					unread: []
				}
			],
			null
		);
		if (!link) throw new Error('nobody is in the second challenge');
		second = { challenge: challenge.id, person: link.enrolmentId };
	});
	const signedIn = async (name: string) => cookieIn(await served.signIn(`${name}@example.org`, PASSWORD));
	other = await signedIn('nila');
	helper = await signedIn('kaija');
	viewer = await signedIn('vesa');
}, 180_000);
afterAll(() => served.server.stop());

/** Values with which a route is there for its own coach or participant. */
const values = () => ({
	challenge: served.world.challenge.id,
	session: served.world.session.id,
	person: served.world.people[1]!.enrolmentId,
	exercise: 'Push-up',
	kind: 'txt',
	day: '3',
	id: served.world.session.id,
	secret: 'no-such-secret'
});
const send = async (route: Route, cookie: string, action?: string): Promise<string> => {
	const path = addressOf(route, values());
	const answer =
		action === undefined
			? await served.get(path, cookie)
			: await served.post(action === 'default' ? path : `${path}?/${action}`, '', cookie, FORM);
	await answer.body?.cancel();
	const to = answer.headers.get('location');
	return to ? `${answer.status} ${to.replace(/\?.*/, '')}` : String(answer.status);
};

it('finds the routes there are', () => {
	expect(ROUTES.length).toBeGreaterThan(45);
	expect(ROUTES.find(({ id }) => id === '/(coach)/c/[challenge]/plan')?.actions).toContain('save');
	expect(ROUTES.find(({ id }) => id === '/api/me/checkins')).toMatchObject({
		methods: ['POST'],
		page: false
	});
});

it('every route has an owner, or a reason to have none', () => {
	expect(
		ROUTES.filter(({ id }) => ownerOf(id) === null)
			.map(({ id }) => id)
			.sort()
	).toEqual(Object.keys(OPEN).sort());
});

/** What a viewer may look at, and what the owner alone decides: written down here once more, so that neither grows by accident. */
const VIEWERS = new Set(['/roll', '/plan/sheet', '/plan/sheet.pdf', '/people/group']);
const OWNERS = new Set([
	'/people/[person]?link',
	'/settings/coaches?invite',
	'/settings/coaches?withdraw',
	'/settings/coaches?role',
	'/settings/coaches?remove',
	'/settings?house',
	'/reach/rules?save',
	'/settings?health'
]);

describe('work in a challenge', () => {
	const works = ROUTES.filter(({ id }) => id.startsWith('/(coach)/c/[challenge]/')).flatMap((route) => [
		...route.actions.map((action) =>
			workOf(route.id, { method: 'POST' }, new URLSearchParams(action === 'default' ? '' : `/${action}`))
		),
		...route.methods
			.filter((method) => method !== 'GET')
			.map((method) => workOf(route.id, { method }, new URLSearchParams()))
	]);

	it('has words for the record, each piece that there is and none that there is not', () => {
		expect(works.length).toBeGreaterThan(50);
		expect([...works].sort()).toEqual(Object.keys(DEEDS).sort());
	});

	it('is closed to viewers and open to owners, whatever it is called', () => {
		expect(works.filter((work) => work !== null && mayDo('viewer', work))).toEqual([]);
		expect(mayDo('viewer', '/something/new')).toBe(false);
		expect(works.every((work) => work !== null && mayDo('owner', work))).toBe(true);
	});
});

describe('whoever runs one challenge and looks on in another', () => {
	const statusOf = async (answer: Promise<Response>) => (await answer).status;

	it.each([
		['/c/{first}/reach/rules?challenge={second}'],
		['/challenges/import?from={second}'],
		['/c/{second}/reach'],
		['/c/{second}/people/{person}']
	])('gets nothing of it at %s', async (path) => {
		const filled = path
			.replace('{first}', served.world.challenge.id)
			.replace('{second}', second.challenge)
			.replace('{person}', second.person);
		expect(await statusOf(served.get(filled, helper))).toBe(403);
		// What the owner sees there, so that the address is one.
		expect(await statusOf(served.get(filled, served.coach))).toBe(200);
	});

	it('moves nobody into it', async () => {
		const person = served.world.people[2]!.enrolmentId;
		const path = `/c/${served.world.challenge.id}/people/${person}?/move`;
		expect(await statusOf(served.post(path, `to=${second.challenge}`, helper, FORM))).toBe(404);
	});

	it('every address that names a challenge beside its own is tried above', () => {
		const named = ROUTES.flatMap(({ id, asks }) => asks.map((name) => `${id}?${name}`));
		expect(named.filter((one) => /\?(challenge|from|to|of)$/.test(one)).sort()).toEqual([
			'/(coach)/c/[challenge]/build/[session]/compare?from',
			'/(coach)/c/[challenge]/build/[session]/compare?to',
			'/(coach)/c/[challenge]/reach/rules?challenge',
			'/(coach)/challenges/import?from'
		]);
	});
});

describe('somebody of another challenge of the same owner', () => {
	it.each(
		ROUTES.filter(({ id }) => id.includes('[challenge]') && id.includes('[person]')).map(
			(route) => [route.id, route] as const
		)
	)('is not there at %s', async (_, route) => {
		const path = addressOf(route, { ...values(), person: second.person });
		if (route.page || route.methods.includes('GET'))
			expect(await served.get(path, served.coach).then(({ status }) => status)).toBe(404);
		for (const action of route.actions) {
			// The one without a name has none in its address.
			const address = action === 'default' ? path : `${path}?/${action}`;
			const answer = await served.post(address, '', served.coach, FORM);
			expect(answer.status, action).toBe(404);
		}
	});
});

describe.each(ROUTES.filter(({ id }) => ownerOf(id) !== null).map((route) => [route.id, route] as const))(
	'%s',
	(id, route) => {
		const owner = ownerOf(id);
		const inApi = id.startsWith('/api/');
		const ways = [
			...(route.page || route.methods.includes('GET') ? [undefined] : []),
			...route.actions,
			...(route.methods.includes('POST') ? ['default'] : [])
		];

		it('is not there for those it is not of, and asks strangers to sign in', async () => {
			for (const action of ways) {
				expect(await send(route, '', action), `nobody ${action}`).toBe(inApi ? '401' : '303 /sign-in');
				expect(await send(route, owner === 'coach' ? served.me : served.coach, action), `${action}`).toBe(
					'404'
				);
				if (id.includes('[challenge]'))
					expect(await send(route, other, action), `other coach ${action}`).toBe('404');
			}
		});

		it('shows a viewer what has nothing to do with health, and lets them change nothing', async () => {
			if (!id.includes('[challenge]')) return;
			for (const action of ways) {
				const seen = action === undefined && VIEWERS.has(id.replace('/(coach)/c/[challenge]', ''));
				expect(await send(route, viewer, action), `${action}`).toBe(seen ? '200' : '403');
			}
		});

		it('is open to a coach who was invited, but for what the owner decides', async () => {
			if (!id.includes('[challenge]')) return;
			for (const action of ways) {
				if (action === undefined) expect(await send(route, helper)).toBe(await send(route, served.coach));
				else if (OWNERS.has(`${id.replace('/(coach)/c/[challenge]', '')}?${action}`))
					expect(await send(route, helper, action), action).toBe('403');
			}
		});

		it('is there for its own', async () => {
			if (ways[0] !== undefined) return;
			// There is no such check-in, document, photograph or clip, one version alone has nothing to be compared with, the shelf is empty, and
			// nothing was done yet that could be looked back at or have a result.
			const missing =
				/checkins\/\[id\]|\/compare$|\/shelf\/\[session\]$|\[(document|photo|check)\]$|\/history\/\[day\]$/;
			const known = missing.test(id) ? '404' : id.endsWith('/result') ? '303 /me' : '200';
			expect(await send(route, owner === 'coach' ? served.coach : served.me)).toBe(known);
		});
	}
);
