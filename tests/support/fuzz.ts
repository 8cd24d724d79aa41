/**
 * Requests made up at random from what the routes read and from what has broken programs before, the same for the same
 * seed. Nothing may be answered with a fault of the server.
 */
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { AnySchema } from 'yup';
import { seededRandom } from '$core/stats';
import { fieldsOf, madeFrom, SCHEMAS } from './from-schema';
import { addressOf, allRoutes, type Route } from './routes';
import type { Served } from './served';

/** Names of form fields, parameters and JSON fields that a piece of source asks for. */
const namesIn = (source: string): string[] =>
	[
		...source.matchAll(/(?:formText|jsonOf|givenIn|sentIn)\(\s*\w+,\s*'([\w-]+)'/g),
		...source.matchAll(/\b(?:form|searchParams)\.(?:get|getAll|has)\('([\w-]+)'\)/g),
		...source.matchAll(/\bname="([\w-]+)"/g)
	].map(([, name]) => name!);

/** The same of all source. */
function namesAsked(): string[] {
	const source = readdirSync('src', { recursive: true, withFileTypes: true })
		.filter((entry) => entry.isFile() && /\.(ts|svelte)$/.test(entry.name) && !/\.test\./.test(entry.name))
		.map((entry) => readFileSync(join(entry.parentPath, entry.name), 'utf8'))
		.join('\n');
	return [
		...new Set([...namesIn(source), '__proto__', 'constructor', '__superform_json', '__superform_id', 'x'])
	];
}

/** What a route's files ask for, and those of the parts that its page shows; and the schemas that this looks most like. */
interface Asked {
	names: string[];
	schemas: AnySchema[];
}
function askedBy({ id }: Route): Asked {
	const folder = join('src', 'routes', ...id.split('/').filter(Boolean));
	const textOf = (path: string) => (existsSync(path) ? readFileSync(path, 'utf8') : '');
	const own = ['+page.server.ts', '+page.svelte', '+server.ts'].map((name) => textOf(join(folder, name)));
	const source = [...own];
	for (const [, part] of own.join('\n').matchAll(/from '\$lib\/((?:features|ui)\/[\w/-]+\.svelte)'/g))
		source.push(textOf(join('src', 'lib', part!)));
	const all = source.join('\n');
	const names = [...new Set(namesIn(all))];
	const likeness = ([name, schema]: [string, AnySchema]) => {
		const fields = fieldsOf(schema);
		const shared = fields.filter((field) => names.includes(field) || all.includes(`'${field}'`)).length;
		return shared / Math.max(1, fields.length) + (all.includes(name) ? 1 : 0);
	};
	return {
		names,
		schemas: [...SCHEMAS]
			.map((entry) => ({ schema: entry[1], like: likeness(entry) }))
			.filter(({ like }) => like > 0.5)
			.sort((a, b) => b.like - a.like)
			.slice(0, 4)
			.map(({ schema }) => schema)
	};
}

/** A value as a form has it. */
const asField = (value: unknown): string =>
	value === null || value === undefined
		? ''
		: typeof value === 'string'
			? value
			: value === true
				? 'on'
				: JSON.stringify(value);

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
	/** Actions and endpoints that something was sent to, and those that took it at least once. */
	tried: Set<string>;
	reached: Set<string>;
}

/**
 * Sends requests made up at random.
 * @param options.count how many; options.seed which; options.ids of whatever is there; options.of values of parameters, by name
 */
export async function fuzz(
	served: Served,
	options: { seed: number; count: number; ids: readonly string[]; of: Readonly<Record<string, string>> }
): Promise<Fuzzed> {
	const chance = seededRandom(String(options.seed));
	const pick = <T>(list: readonly T[]): T => list[Math.floor(chance() * list.length)]!;
	// What ends the sign-ins with which all the rest is sent is left out, and backups, which take seconds each.
	const routes = allRoutes().map((route) => ({
		...route,
		actions: route.actions.filter((action) => !['signOut', 'everywhere', 'leave', 'backup'].includes(action))
	}));
	const names = namesAsked();
	const { world } = served;
	const ids = options.ids;
	const result: Fuzzed = { sent: 0, answers: {}, broken: [], tried: new Set(), reached: new Set() };
	const asked = new Map(routes.map((route) => [route.id, askedBy(route)]));
	const texts = [...RIGHT, ...ids.slice(0, 30)];
	/** Fields that a schema of the route takes, now and then with one of them wrong. */
	const formFor = (route: Route): [string, string][] | null => {
		const { schemas, names: own } = asked.get(route.id)!;
		if (schemas.length === 0) return null;
		const made = madeFrom(pick(schemas), { chance, pick, texts }) as Record<string, unknown>;
		const more = own
			.filter((name) => !(name in made))
			.map((name): [string, unknown] => [name, chance() < 0.7 ? pick(ids) : pick(RIGHT)]);
		const form = [...Object.entries(made), ...more].map(([name, of]): [string, string] => [
			name,
			asField(of)
		]);
		const wrong = form.length > 0 && chance() < 0.3 ? Math.floor(chance() * form.length) : -1;
		return form.map(([name, of], i) => [name, i === wrong ? pick(HOSTILE) : of]);
	};
	const jsonFor = (route: Route): string | null => {
		const { schemas } = asked.get(route.id)!;
		return schemas.length > 0 ? JSON.stringify(madeFrom(pick(schemas), { chance, pick, texts })) : null;
	};

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
		secret: world.secrets[2]!,
		...options.of
	};
	const fields = (most: number): [string, string][] =>
		Array.from({ length: Math.floor(chance() * most) }, () => [pick(names), value()]);

	/** One request, decided before it is sent, so that the order of the answers changes nothing. */
	function next(): { what: string; work?: string; send: () => Promise<Response> } {
		const route: Route = pick(routes);
		const values = Object.fromEntries(
			route.params.map(
				(name) =>
					[
						name,
						chance() < 0.85 ? (known[name] ?? pick(ids)) : chance() < 0.5 ? pick(ids) : pick(HOSTILE)
					] as const
			)
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
		const work = `${route.id}?${action}`;
		const form = (chance() < 0.6 && formFor(route)) || fields(9);
		const kind = chance();
		const [body, type]: [BodyInit, string] =
			route.methods.includes('POST') || kind < 0.05
				? [
						(chance() < 0.5 && jsonFor(route)) || (chance() < 0.7 ? document(chance, pick, ids) : value()),
						'application/json'
					]
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
			work,
			send: () => served.post(address, body, cookie, type)
		};
	}

	const worker = async () => {
		while (result.sent < options.count && result.broken.length < 20) {
			result.sent++;
			const { what, work, send } = next();
			if (work) result.tried.add(work);
			try {
				const answer = await send();
				result.answers[answer.status] = (result.answers[answer.status] ?? 0) + 1;
				if (work && (answer.ok || answer.status === 303)) result.reached.add(work);
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
