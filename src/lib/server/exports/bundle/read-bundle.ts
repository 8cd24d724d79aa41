import { array, lazy, mixed, number, object, string, ValidationError } from 'yup';
import { libraryOf, type Exercise, type Library } from '$core/exercise';
import { PLAN_LIMITS } from '$core/plan';
import { isDate, isZone } from '$core/calendar';
import type { Practice } from '$core/practice';
import type { Session } from '$core/session';
import { jsonPlace, type FileFault } from '../../web/file-fault';
import { parseJson } from '../../web/json';
import { bodyOf, exerciseSchema } from '$contracts/exercise';
import { planSchema } from '$contracts/plan';
import { ANNOUNCEMENT_LENGTH } from '../../challenge/announcements';
import { faultsOf } from '$contracts/session';
import { BUNDLE_KIND, BUNDLE_VERSION, type Bundle } from './bundle';

/** Letters of a bundle that are read at most. */
export const LARGEST_BUNDLE = 5_000_000;
const MOST_SESSIONS = 200;
const MOST_VERSIONS = 20;

const KEY = /^s[1-9]\d{0,3}$/;
const text = (most: number) => string().strict().trim().max(most, `at most ${most} letters`);
const whole = (least: number, most: number) => {
	const says = `a whole number from ${least} to ${most}`;
	return number().strict().typeError(says).integer(says).min(least, says).max(most, says).required(says);
};

/** The shape of a bundle; sessions are looked at by their own rules, references after that. */
const bundleSchema = object({
	kind: string().required(),
	version: number().required(),
	name: text(80).required('a challenge needs a name'),
	goal: text(300).required('a challenge needs a goal'),
	frame: object({
		startsOn: string()
			.strict()
			.test('date', 'this is no day of the calendar; YYYY-MM-DD is expected', (date) => !date || isDate(date))
			.required('the day on which it starts is missing'),
		trainingDays: array(whole(1, 7)).min(1, 'at least one weekday to train on').max(7).required(),
		budgetMinutes: whole(5, 180),
		releaseZone: lazy((value) =>
			value === null
				? mixed().nullable()
				: string()
						.strict()
						.test(
							'zone',
							'there is no zone ${value}; one looks like Europe/Oslo',
							(zone) => !zone || isZone(zone)
						)
						.required('a zone, or null for each person’s own')
		),
		opensAt: string()
			.strict()
			.matches(/^([01]\d|2[0-3]):[0-5]\d$/, 'a time of day, as in 05:30')
			.required('a time of day, as in 05:30'),
		lateHours: whole(0, 168),
		lateWorth: number()
			.strict()
			.min(0, 'a share from 0 to 100 %')
			.max(100, 'a share from 0 to 100 %')
			.required(),
		partial: string().oneOf(['share', 'strict']).required(),
		afterClose: string().oneOf(['refuse', 'store']).required(),
		lateJoiners: string().oneOf(['group', 'own']).required()
	})
		.noUnknown()
		.strict()
		.required('the frame is missing'),
	exercises: array(exerciseSchema.noUnknown().strict()).max(500).required('exercises are missing'),
	sessions: array(
		object({
			key: string()
				.strict()
				.matches(KEY, 'a key is s1, s2 and so on')
				.required('a session needs a key, s1 and so on'),
			name: text(80).required('a session needs a name'),
			tags: array(text(30).required()).max(12).required(),
			versions: array(mixed().required())
				.min(1, 'a session has at least one version')
				.max(MOST_VERSIONS, `at most ${MOST_VERSIONS} versions`)
				.required('the session itself is missing')
		})
			.noUnknown()
			.strict()
	)
		.max(MOST_SESSIONS, `at most ${MOST_SESSIONS} sessions`)
		.required('sessions are missing'),
	plan: planSchema.noUnknown().required('the plan is missing'),
	messages: array(
		object({
			day: whole(1, PLAN_LIMITS.days),
			text: text(ANNOUNCEMENT_LENGTH).required('a message needs some words')
		})
			.noUnknown()
			.strict()
	)
		.max(200)
		.required('messages are missing')
}).noUnknown();

export interface ReadBundle {
	bundle: Bundle | null;
	faults: FileFault[];
	/** Exercises that neither this library nor the file knows; they are kept by name. */
	unknown: string[];
}

const refused = (...faults: FileFault[]): ReadBundle => ({ bundle: null, faults, unknown: [] });
const NOT_ONE = `this is not a challenge: kind is “${BUNDLE_KIND}” in one`;

/** Faults of the fields; places as in `plan.days[3].kind`. */
function shapeFaults(raw: unknown): FileFault[] {
	try {
		bundleSchema.validateSync(raw, { abortEarly: false, strict: true });
		return [];
	} catch (cause) {
		if (!(cause instanceof ValidationError)) throw cause;
		const each = cause.inner.length > 0 ? cause.inner : [cause];
		return each.map(({ path, message }) => ({ place: path || 'the file', message }));
	}
}

/** Things that should be there once: where one stands for the second time. */
function twice(list: readonly string[], place: (i: number) => string, what: string): FileFault[] {
	return list.flatMap((value, i) =>
		list.indexOf(value) < i ? [{ place: place(i), message: `${what} “${value}” stands twice` }] : []
	);
}

/** What names something that is not in the file. */
function referenceFaults({ sessions, plan }: Bundle): FileFault[] {
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
		day.tests.forEach((id, t) =>
			say(`plan.days[${d}].tests[${t}]`, tests.has(id) ? null : `there is no test “${id}” in this file`)
		);
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
	const shape = shapeFaults(raw);
	if (shape.length > 0) return refused(...shape);
	const bundle = raw as Bundle;
	const exercises = bundle.exercises.map((exercise): Exercise => ({
		...bodyOf(exerciseSchema.cast(exercise)),
		formerly: [],
		ownId: 'brought',
		retired: false
	}));
	const library = withBrought(practice.library, exercises);
	const faults = [
		...bundle.sessions.flatMap(({ versions }, s) =>
			versions.flatMap((body, v) =>
				faultsOf(body, { ...practice, library }).map(({ path, message }) => ({
					place: `sessions[${s}].versions[${v}]${path ? `.${path}` : ''}`,
					message
				}))
			)
		),
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
