/**
 * Requests made up at random from what the routes read and from what has broken programs before, the same for the same
 * seed. Nothing may be answered with a fault of the server.
 */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { seededRandom } from '$core/stats';
import { addressOf, allRoutes, type Route } from './routes';
import type { Served } from './served';

/** Names of form fields, parameters and JSON fields that the application asks for, as they stand in its source. */
function namesAsked(): string[] {
	const source = readdirSync('src', { recursive: true, withFileTypes: true })
		.filter((entry) => entry.isFile() && /\.(ts|svelte)$/.test(entry.name) && !/\.test\./.test(entry.name))
		.map((entry) => readFileSync(join(entry.parentPath, entry.name), 'utf8'))
		.join('\n');
	const found = [
		...source.matchAll(/(?:formText|jsonOf|givenIn)\(\s*\w+,\s*'([\w-]+)'/g),
		...source.matchAll(/\b(?:form|searchParams)\.(?:get|getAll|has)\('([\w-]+)'\)/g),
		...source.matchAll(/\bname="([\w-]+)"/g)
	].map(([, name]) => name!);
	return [...new Set([...found, '__proto__', 'constructor', '__superform_json', '__superform_id', 'x'])];
}

/** Read, not imported: a bundler does not take half a pair of surrogates. */
const values = JSON.parse(readFileSync('tests/support/fuzz-values.json', 'utf8')) as {
	hostile: string[];
	right: string[];
};
/** What has broken programs before. */
const HOSTILE: readonly string[] = values.hostile;
/** What is right now and then, so that more than the first check is reached. */
const RIGHT: readonly string[] = values.right;

/** JSON of the shapes that are asked for, with one place of it made wrong. */
function document(chance: () => number, pick: <T>(list: readonly T[]) => T, ids: readonly string[]): string {
	const part = {
		exercise: 'Push-up',
		target: { kind: 'reps', reps: 8 },
		perSide: false,
		tempo: null,
		kg: null
	};
	const session = {
		blocks: [{ format: 'straight-sets', role: 'main', sets: 3, rest: 60, lastRest: 0, parts: [part] }],
		note: 'x'
	};
	const day = { kind: 'train', session: pick(ids), effort: 5, tests: [] };
	const documents: unknown[] = [
		session,
		{
			id: pick(ids),
			day: 3,
			done: 'part',
			sets: [{ block: 0, part: 0, set: 1, amount: 10, kg: 5 }],
			effort: 7
		},
		{
			days: [day, { ...day, kind: 'rest', session: null }],
			rules: [
				{
					id: 'r',
					on: { exercise: 'Push-up' },
					steps: [{ kind: 'reps', reps: 2 }],
					from: 2,
					until: null,
					every: 1
				}
			],
			deload: { every: 4, keep: 0.6 },
			tests: [
				{ id: 't', name: 'T', exercise: 'Push-up', measure: 'reps', seconds: null, reps: null, kg: null }
			],
			audience: { level: 'beginner', items: [], heaviestKg: null, conditions: [] }
		},
		{
			kind: 'cadrex challenge',
			version: 1,
			name: 'a',
			goal: 'b',
			sessions: [],
			plan: {},
			exercises: [],
			messages: []
		},
		{ kind: 'cadrex session', version: 1, name: 'a', session },
		['a', 'b'],
		[{ id: 't', name: 'T', exercise: 'Push-up', measure: 'reps', seconds: null, reps: null, kg: null }]
	];
	const whole = structuredClone(pick(documents));
	for (let changes = Math.floor(chance() * 3); changes > 0; changes--) {
		let at = whole as Record<string, unknown>;
		for (;;) {
			const keys = Object.keys(at);
			if (keys.length === 0) break;
			const key = pick(keys);
			const value = at[key];
			if (typeof value === 'object' && value !== null && chance() < 0.75) {
				at = value as Record<string, unknown>;
				continue;
			}
			if (chance() < 0.2) Reflect.deleteProperty(at, key);
			else
				at[key] = pick<unknown>([
					null,
					-1,
					0,
					1e12,
					0.1,
					'x',
					'',
					[],
					{},
					[[]],
					true,
					pick(HOSTILE),
					pick(ids)
				]);
			break;
		}
	}
	return JSON.stringify(whole);
}

export interface Fuzzed {
	sent: number;
	/** By status, how many. */
	answers: Record<string, number>;
	/** What was answered with a fault of the server, or not at all. */
	broken: string[];
}

/**
 * Sends requests made up at random.
 * @param options.count how many; options.seed which
 */
export async function fuzz(served: Served, options: { seed: number; count: number }): Promise<Fuzzed> {
	const chance = seededRandom(String(options.seed));
	const pick = <T>(list: readonly T[]): T => list[Math.floor(chance() * list.length)]!;
	// What ends the sign-ins with which all the rest is sent is left out, and backups, which take seconds each.
	const routes = allRoutes().map((route) => ({
		...route,
		actions: route.actions.filter((action) => !['signOut', 'everywhere', 'leave', 'backup'].includes(action))
	}));
	const names = namesAsked();
	const { world } = served;
	const ids: string[] = [
		world.challenge.id,
		world.session.id,
		...world.people.map(({ enrolmentId }) => enrolmentId)
	];
	const result: Fuzzed = { sent: 0, answers: {}, broken: [] };

	const value = (): string => {
		const kind = chance();
		if (kind < 0.45) return pick(HOSTILE);
		if (kind < 0.65) return pick(RIGHT);
		if (kind < 0.75) return pick(ids);
		return document(chance, pick, ids);
	};
	const known: Record<string, string> = {
		challenge: world.challenge.id,
		session: world.session.id,
		// Not the one whose cookie is used here: their link may be made anew.
		person: world.people[2]!.enrolmentId,
		exercise: 'Push-up',
		kind: 'json',
		day: '3',
		id: world.session.id,
		secret: world.secrets[2]!
	};
	const fields = (most: number): [string, string][] =>
		Array.from({ length: Math.floor(chance() * most) }, () => [pick(names), value()]);

	/** One request, decided before it is sent, so that the order of the answers changes nothing. */
	function next(): { what: string; send: () => Promise<Response> } {
		const route: Route = pick(routes);
		const values = Object.fromEntries(
			route.params.map((name) => [name, chance() < 0.8 ? known[name]! : pick(HOSTILE)] as const)
		);
		let path: string;
		try {
			path = addressOf(route, values);
		} catch {
			// A lone surrogate has no place in an address.
			path = addressOf(route, known);
		}
		const own = route.id.includes('(me)') || route.id.startsWith('/api/me') ? served.me : served.coach;
		const cookie = route.id.startsWith('/join')
			? ''
			: chance() < 0.95
				? own
				: pick(['', served.me, served.coach, 'cadrex_coach=' + 'x'.repeat(50)]);
		const query = new URLSearchParams(fields(chance() < 0.3 ? 4 : 1)).toString();
		const posts = route.actions.length > 0 || route.methods.includes('POST');
		if (!posts || chance() < 0.25) {
			const address = query ? `${path}?${query}` : path;
			return { what: `GET ${address}`, send: () => served.get(address, cookie) };
		}
		const action = pick([...route.actions, ...(route.methods.includes('POST') ? [''] : [])]);
		const address = `${path}?${[action && action !== 'default' ? `/${action}` : '', query].filter(Boolean).join('&')}`;
		const form = fields(9);
		const kind = chance();
		const [body, type]: [BodyInit, string] =
			route.methods.includes('POST') || kind < 0.05
				? [chance() < 0.7 ? document(chance, pick, ids) : value(), 'application/json']
				: kind < 0.75
					? [new URLSearchParams(form).toString(), 'application/x-www-form-urlencoded']
					: kind < 0.95
						? [multipart(form), '']
						: [
								pick(HOSTILE),
								pick(['text/plain', 'multipart/form-data; boundary=x', 'image/png', 'multipart/form-data'])
							];
		const said = typeof body === 'string' ? body.slice(0, 400) : JSON.stringify(form).slice(0, 400);
		return {
			what: `POST ${address} (${type}) ${JSON.stringify(said)}`,
			send: () => served.post(address, body, cookie, type)
		};
	}

	const worker = async () => {
		while (result.sent < options.count && result.broken.length < 20) {
			result.sent++;
			const { what, send } = next();
			try {
				const answer = await send();
				result.answers[answer.status] = (result.answers[answer.status] ?? 0) + 1;
				if (answer.status >= 500) result.broken.push(`${answer.status} ${what}`);
				await answer.body?.cancel();
			} catch (error) {
				result.broken.push(`${String(error)} ${what}`);
			}
		}
	};
	await Promise.all([worker(), worker(), worker(), worker()]);
	return result;
}

function multipart(fields: readonly [string, string][]): FormData {
	const form = new FormData();
	for (const [name, value] of fields)
		if (name === 'file') form.append(name, new Blob([value]), 'a.csv');
		else form.append(name, value);
	return form;
}
