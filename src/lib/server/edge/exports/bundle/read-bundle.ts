import { libraryOf, type Exercise, type Library } from '$core/exercise';
import type { Practice } from '$core/practice';
import type { Session } from '$core/session';
import { jsonPlace, type FileFault } from '../../../platform/file-fault';
import { parseJson } from '../../../platform/json';
import { bodyOf, exerciseOfInput, withDemands } from '$contracts/exercise';
import { MOST_FAULTS, readAs } from '$contracts/read';
import { readSession } from '$contracts/session';
import { BUNDLE_KIND, BUNDLE_VERSION, bundleSchema } from '$contracts/bundle';
import type { Bundle } from './bundle';

/** Letters of a bundle that are read at most. */
export const LARGEST_BUNDLE = 5_000_000;
export interface ReadBundle {
	bundle: Bundle | null;
	faults: FileFault[];
	/** Exercises that neither this library nor the file knows; they are kept by name. */
	unknown: string[];
}

const refused = (...faults: FileFault[]): ReadBundle => ({
	bundle: null,
	faults: faults.slice(0, MOST_FAULTS),
	unknown: []
});
const NOT_ONE = `this is not a challenge: kind is “${BUNDLE_KIND}” in one`;

/** A file of the right shape, or the faults of its fields; places as in `plan.days[3].kind`. Its sessions are looked at by their own rules. */
function shapeOf(raw: unknown) {
	const { value, faults } = readAs(bundleSchema, raw, { strict: true });
	if (faults)
		return {
			shape: null,
			faults: faults.map(({ field, message }) => ({ place: field || 'the file', message }))
		};
	return { shape: { ...value, exercises: value.exercises.map(bodyOf) }, faults: [] };
}

/** Things that should be there once: where one stands for the second time. */
function twice(list: readonly string[], place: (i: number) => string, what: string): FileFault[] {
	return list.flatMap((value, i) =>
		list.indexOf(value) < i ? [{ place: place(i), message: `${what} “${value}” stands twice` }] : []
	);
}

/** What names something that is not in the file. */
function referenceFaults({ sessions, plan, shelf = [] }: Bundle): FileFault[] {
	const byKey = new Map(sessions.map((session) => [session.key, session]));
	const tests = new Set(plan.tests.map(({ id }) => id));
	const keys = [...byKey.keys()].join(', ') || 'none';
	const sessionFault = (reference: string): string | null => {
		const [key = '', number] = reference.split('@');
		const session = byKey.get(key);
		if (!session) return `there is no session “${key}” in this file; there are ${keys}`;
		if (number !== undefined && !session.versions[Number(number) - 1])
			return `session ${key} has ${session.versions.length} versions in this file; there is no ${number}`;
		return null;
	};
	const faults: FileFault[] = [];
	const say = (place: string, message: string | null) => void (message && faults.push({ place, message }));
	plan.days.forEach((day, d) => {
		if (day.session !== null) say(`plan.days[${d}].session`, sessionFault(day.session));
		if (day.evening !== undefined) say(`plan.days[${d}].evening`, sessionFault(day.evening));
		day.tests.forEach((id, t) =>
			say(`plan.days[${d}].tests[${t}]`, tests.has(id) ? null : `there is no test “${id}” in this file`)
		);
	});
	shelf.forEach(({ session }, s) => {
		say(`shelf[${s}].session`, sessionFault(session));
	});
	plan.rules.forEach(({ on }, r) => {
		if (!('session' in on)) return;
		const fault = sessionFault(on.session);
		say(`plan.rules[${r}].on.session`, fault);
		const blocks = byKey.get(on.session.split('@')[0] ?? '')?.versions.at(-1)?.blocks;
		if (fault || !blocks || on.block === undefined) return;
		const block = blocks[on.block];
		if (!block)
			return say(
				`plan.rules[${r}].on.block`,
				`session ${on.session} has ${blocks.length} blocks, counted from 0; there is no ${on.block}`
			);
		if (on.part !== undefined && !block.parts[on.part])
			say(
				`plan.rules[${r}].on.part`,
				`block ${on.block} of session ${on.session} has ${block.parts.length} exercises, counted from 0; there is no ${on.part}`
			);
	});
	return faults;
}

/** The library with what a bundle brings; a name that is there already stays what it is. */
function withBrought(library: Library, brought: readonly Exercise[]): Library {
	const own = library.all.filter((exercise) => exercise.ownId);
	return libraryOf([...own, ...brought.filter(({ name }) => !library.find(name))]);
}

/**
 * Reads a bundle: every fault with its place, whatever they are many. Writes nothing.
 * @param practice of the coach who would import it
 */
export function readBundle(input: string, practice: Practice): ReadBundle {
	const bare = input.replace(/^\uFEFF/, '');
	if (bare.length > LARGEST_BUNDLE)
		return refused({
			place: 'the file',
			message: `a challenge has at most ${LARGEST_BUNDLE.toLocaleString('en')} letters, this has ${bare.length.toLocaleString('en')}`
		});
	if (!bare.trim()) return refused({ place: 'the file', message: 'there is nothing in it' });
	let raw: unknown;
	try {
		raw = parseJson(bare);
	} catch (cause) {
		return refused(jsonPlace(cause, bare));
	}
	if (
		typeof raw !== 'object' ||
		raw === null ||
		Array.isArray(raw) ||
		!('kind' in raw) ||
		raw.kind !== BUNDLE_KIND
	)
		return refused({ place: 'kind', message: NOT_ONE });
	const version = 'version' in raw ? raw.version : undefined;
	if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
		return refused({
			place: 'version',
			message: `a whole number; ${BUNDLE_VERSION} is the newest that is known here`
		});
	if (version > BUNDLE_VERSION)
		return refused({
			place: 'version',
			message: `this file is of version ${version} and needs a Cadrex that reads version ${version}; this one reads up to ${BUNDLE_VERSION}. Bring it up to date, or save the challenge again from one as old as this.`
		});
	const { shape, faults: shapeFaults } = shapeOf(
		'exercises' in raw && Array.isArray(raw.exercises)
			? { ...raw, exercises: raw.exercises.map(withDemands) }
			: raw
	);
	if (!shape) return refused(...shapeFaults);
	const exercises = shape.exercises.map((exercise) => exerciseOfInput(exercise, { ownId: 'brought' }));
	const library = withBrought(practice.library, exercises);
	const bodyFaults: FileFault[] = [];
	const sessions = shape.sessions.map((session, s) => ({
		...session,
		versions: session.versions.flatMap((body, v) => {
			const read = readSession(body, { ...practice, library });
			for (const { path, message } of read.faults)
				bodyFaults.push({ place: `sessions[${s}].versions[${v}]${path ? `.${path}` : ''}`, message });
			return read.session ?? [];
		})
	}));
	const bundle: Bundle = { ...shape, sessions };
	const faults = [
		...bodyFaults,
		...twice(
			bundle.sessions.map(({ key }) => key),
			(i) => `sessions[${i}].key`,
			'the key'
		),
		...twice(
			bundle.sessions.map(({ name }) => name),
			(i) => `sessions[${i}].name`,
			'the session'
		),
		...twice(
			bundle.exercises.map(({ name }) => name.toLowerCase()),
			(i) => `exercises[${i}].name`,
			'the exercise'
		),
		...twice(
			bundle.plan.tests.map(({ id }) => id),
			(i) => `plan.tests[${i}].id`,
			'the test'
		),
		...twice(
			bundle.plan.rules.map(({ id }) => id),
			(i) => `plan.rules[${i}].id`,
			'the rule'
		),
		...bundle.messages.flatMap(({ day }, m) =>
			day > bundle.plan.days.length
				? [{ place: `messages[${m}].day`, message: `the plan has ${bundle.plan.days.length} days` }]
				: []
		)
	];
	if (faults.length > 0) return refused(...faults);
	const broken = referenceFaults(bundle);
	if (broken.length > 0) return refused(...broken);
	const names = new Set(bundle.sessions.flatMap(({ versions }) => versions.flatMap(exerciseNames)));
	return { bundle, faults: [], unknown: [...names].filter((name) => !library.find(name)).sort() };
}

const exerciseNames = (body: Session): string[] =>
	body.blocks.flatMap(({ parts }) => parts.map(({ exercise }) => exercise));
