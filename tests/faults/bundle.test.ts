/** Files that should be a challenge and are not, or not quite: what is said, and where. */
import { readFileSync } from 'node:fs';
import Ajv from 'ajv';
import { describe, expect, it } from 'vitest';
import { newRule, newBenchmark, planOfTemplate, TEMPLATES, STARTERS, startersOf } from '$core/plan';
import { parseSessionText } from '$core/session';
import { bundleText, type Bundle } from '$lib/server/edge/exports/bundle/bundle';
import { LARGEST_BUNDLE, readBundle } from '$lib/server/edge/exports/bundle/read-bundle';
import { BEAM } from '../support/beam';
import { PRACTICE } from '../support/practice';

const [, , shape] = TEMPLATES;
const names = startersOf(shape!);
const keys = Object.fromEntries(names.map((name, i) => [name, `s${i + 1}`]));
const SOUND: Bundle = {
	kind: 'cadrex challenge',
	version: 1,
	name: 'Hut weeks',
	goal: 'Carry 20 kg up 400 m',
	frame: {
		startsOn: '2028-02-29',
		trainingDays: [1, 2, 4, 6],
		budgetMinutes: 30,
		releaseZone: null,
		opensAt: '05:30',
		lateHours: 36,
		lateWorth: 75,
		partial: 'share',
		afterClose: 'store',
		lateJoiners: 'group',
		waitsForAnswers: false
	},
	exercises: [BEAM],
	sessions: names.map((name, i) => ({
		key: `s${i + 1}`,
		name,
		tags: [...STARTERS[name].tags],
		versions: [parseSessionText(STARTERS[name].lines.join('\n'), PRACTICE).session]
	})),
	plan: {
		...planOfTemplate(shape!, keys),
		tests: [newBenchmark('t', 'Plank', 'Plank', 'longest hold')],
		rules: [newRule('r', { session: 's1', block: 0, part: 0 }, [{ kind: 'reps', reps: 1 }])]
	},
	messages: [{ day: 21, text: 'Halfway' }]
};
SOUND.plan = { ...SOUND.plan, days: SOUND.plan.days.map((day) => ({ ...day, tests: [] })) };

const read = (text: string) => readBundle(text, PRACTICE);
interface Loose extends Record<string, unknown> {
	frame: Record<string, unknown>;
	exercises: Record<string, unknown>[];
	sessions: Record<string, unknown>[];
	plan: {
		days: Record<string, unknown>[];
		rules: { on: Record<string, unknown>; steps: unknown[] }[];
		tests: Record<string, unknown>[];
	} & Record<string, unknown>;
	messages: Record<string, unknown>[];
}
function changed(change: (bundle: Loose) => void): Loose {
	const loose = JSON.parse(bundleText(SOUND)) as Loose;
	change(loose);
	return loose;
}
const schemaOf = (name: string) => JSON.parse(readFileSync(`docs/formats/${name}`, 'utf8')) as object;
const fits = new Ajv({
	strict: true,
	allErrors: true,
	allowUnionTypes: true,
	schemas: [schemaOf('session.schema.json')]
}).compile(schemaOf('challenge.schema.json'));

describe('a file of a challenge', () => {
	it('that is sound is taken, by the published schema as well', () => {
		const { bundle, faults } = read(bundleText(SOUND));
		expect(faults).toEqual([]);
		expect(bundleText(bundle!)).toBe(bundleText(SOUND));
		expect(fits(JSON.parse(bundleText(SOUND))), JSON.stringify(fits.errors)).toBe(true);
	});

	it.each([
		['another kind', (b: Loose) => (b.kind = 'cadrex session'), 'kind'],
		['a newer version', (b: Loose) => (b.version = 2), 'version'],
		['no version', (b: Loose) => delete b.version, 'version'],
		['no name', (b: Loose) => (b.name = ' '), 'name'],
		['no frame', (b: Loose) => (b.frame = undefined as never), 'frame'],
		['a start on 30 February', (b: Loose) => (b.frame.startsOn = '2027-02-30'), 'frame.startsOn'],
		['a place for a zone', (b: Loose) => (b.frame.releaseZone = 'Mars/Base'), 'frame.releaseZone'],
		['a time of day beyond the day', (b: Loose) => (b.frame.opensAt = '25:00'), 'frame.opensAt'],
		['a weekday of its own', (b: Loose) => (b.frame.trainingDays = [8]), 'frame.trainingDays[0]'],
		[
			'200 days',
			(b: Loose) => (b.plan.days = Array.from({ length: 200 }, () => b.plan.days[1]!)),
			'plan.days'
		],
		['no day at all', (b: Loose) => (b.plan.days = []), 'plan.days'],
		['a day of an unknown kind', (b: Loose) => (b.plan.days[3]!.kind = 'feast'), 'plan.days[3].kind'],
		['an effort of 11', (b: Loose) => (b.plan.days[3]!.effort = 11), 'plan.days[3].effort'],
		['a rule without steps', (b: Loose) => (b.plan.rules[0]!.steps = []), 'plan.rules[0].steps'],
		['an exercise that works nothing', (b: Loose) => (b.exercises[0]!.primary = []), 'exercises[0].primary'],
		['a stray field', (b: Loose) => (b.colour = 'red'), 'the file'],
		['a stray field on a day', (b: Loose) => (b.plan.days[2]!.colour = 'red'), 'plan.days[2]'],
		['a stray field in a rule', (b: Loose) => Object.assign(b.plan.rules[0]!, { pace: 2 }), 'plan.rules[0]'],
		['a stray field in a test', (b: Loose) => (b.plan.tests[0]!.place = 'hut'), 'plan.tests[0]'],
		['a stray field in an exercise', (b: Loose) => (b.exercises[0]!.ownId = 'x'), 'exercises[0]'],
		['a session of no key', (b: Loose) => (b.sessions[0]!.key = 'first'), 'sessions[0].key'],
		['a session without itself', (b: Loose) => (b.sessions[1]!.versions = []), 'sessions[1].versions'],
		['a message without words', (b: Loose) => (b.messages[0]!.text = ''), 'messages[0].text']
	])('with %s is refused with the place, by the schema too', (_, change, place) => {
		const wrong = changed(change);
		const { bundle, faults } = read(JSON.stringify(wrong));
		expect(bundle).toBeNull();
		expect(faults.map((fault) => fault.place)).toContain(place);
		// The schema knows no calendar and no list of zones.
		if (!['frame.startsOn', 'frame.releaseZone'].includes(place)) expect(fits(wrong)).toBe(false);
	});

	it.each([
		[
			'a session',
			(b: Loose) => (b.plan.days[0]!.session = 's99'),
			'plan.days[0].session',
			/no session “s99”.*s1, s2/
		],
		[
			'a version',
			(b: Loose) => (b.plan.days[0]!.session = 's1@2'),
			'plan.days[0].session',
			/1 versions.*no 2/
		],
		['a test', (b: Loose) => (b.plan.days[0]!.tests = ['gone']), 'plan.days[0].tests[0]', /no test “gone”/],
		[
			'the session of a rule',
			(b: Loose) => (b.plan.rules[0]!.on.session = 's77'),
			'plan.rules[0].on.session',
			/s77/
		],
		['a block', (b: Loose) => (b.plan.rules[0]!.on.block = 40), 'plan.rules[0].on.block', /no 40/],
		[
			'an exercise of a block',
			(b: Loose) => (b.plan.rules[0]!.on.part = 20),
			'plan.rules[0].on.part',
			/no 20/
		],
		['a day for a message', (b: Loose) => (b.messages[0]!.day = 84), 'messages[0].day', /42 days/],
		['two sessions of one key', (b: Loose) => (b.sessions[1]!.key = 's1'), 'sessions[1].key', /stands twice/]
	])('that names %s which is not there says where', (_, change, place, message) => {
		const { bundle, faults } = read(JSON.stringify(changed(change)));
		expect(bundle).toBeNull();
		const fault = faults.find((one) => one.place === place);
		expect(fault?.message).toMatch(message);
	});

	it('with a fault in a session says in which version, block and field', () => {
		const wrong = changed((b) => {
			const [first] = b.sessions[2]!.versions as { blocks: { parts: { kg: unknown }[] }[] }[];
			first!.blocks[0]!.parts[0]!.kg = 'heavy';
		});
		expect(read(JSON.stringify(wrong)).faults[0]?.place).toBe(
			'sessions[2].versions[0].blocks[0].parts[0].kg'
		);
	});

	it('of a later version says what it needs', () => {
		const [fault] = read(JSON.stringify(changed((b) => (b.version = 7)))).faults;
		expect(fault?.message).toMatch(/version 7.*needs a Cadrex that reads version 7; this one reads up to 1/);
	});

	it.each([
		['nothing', ''],
		['a list', '[]'],
		['a number', '7'],
		['half of one', bundleText(SOUND).slice(0, 900)],
		['what names the ancestry', '{"kind":"cadrex challenge","version":1,"__proto__":{"admin":true}}'],
		['too much', ' '.repeat(LARGEST_BUNDLE + 1)]
	])('that is %s is refused and breaks nothing', (_, text) => {
		const { bundle, faults } = read(text);
		expect(bundle).toBeNull();
		expect(faults).toHaveLength(1);
		expect(faults[0]?.message).toBeTruthy();
	});

	it('with any one value replaced is either refused with a place or taken, never more', () => {
		const text = bundleText(SOUND);
		const junk = [null, 'x', -1, 1e9, [], {}, true];
		let seen = 0;
		for (const top of ['frame', 'plan', 'sessions', 'exercises', 'messages', 'goal'] as const)
			for (const value of junk) {
				const wrong = { ...(JSON.parse(text) as object), [top]: value };
				const { bundle, faults } = read(JSON.stringify(wrong));
				expect(bundle === null).toBe(faults.length > 0);
				seen++;
			}
		expect(seen).toBe(42);
	});
});
