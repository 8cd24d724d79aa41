/** Sessions on request: put on the shelf by the coach, taken by participants, counted by her word. */
import { DAY_MS } from '$core/calendar';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { rebuild } from '$lib/server/changes/projection';
import { rollRow } from '$lib/server/done/attendance/roll';
import type { Person } from '$lib/server/records/person';
import { addOverride } from '$lib/server/changes/overrides';
import { standingOf } from '$lib/server/done/day/own-day';
import { cameIn } from '$lib/server/contact/desk/desk';
import { bundleText } from '$lib/server/edge/exports/bundle/bundle';
import { exportBundle } from '$lib/server/edge/exports/bundle/export-bundle';
import { importBundle } from '$lib/server/edge/exports/bundle/import-bundle';
import { readBundle } from '$lib/server/edge/exports/bundle/read-bundle';
import { enrolmentById } from '$lib/server/records/enrolments';
import { unenrol } from '$lib/server/people/enrol';
import { planOf } from '$lib/server/records/plan-days';
import { practiceOf } from '$lib/server/records/practice';
import { createSession, saveSession, type Saved } from '$lib/server/training/session/sessions';
import {
	ownShelf,
	putOnShelf,
	shelfSession,
	takeFromShelf,
	takeOffShelf,
	takingsBySession,
	takingsOf,
	untake
} from '$lib/server/done/shelf/shelf';
import { shelfOf } from '$lib/server/training/shelf/items';
import {
	BY_COACH,
	body,
	makeWorld,
	ownPersonOf,
	peopleOf,
	testContext,
	type TestContext,
	type World
} from '../support/context';
import { refusal } from '../support/refusal';

let context: TestContext;
let world: World;
let stretch: Saved;
let oslo: Person;
let bogota: Person;

const put = (counts: boolean, sessionId: string = stretch.id) =>
	putOnShelf(context, world.challenge, { sessionId, counts });
const take = (more: object = {}, person = oslo) =>
	takeFromShelf(context, person, { id: context.ids.uuid(), sessionId: stretch.id, credit: 1, ...more });
const rowOf = async (person: Person) =>
	rollRow(
		await enrolmentById(context.db, person.enrolmentId),
		world.challenge,
		await planOf(context.db, world.challenge),
		context.clock.now()
	);

beforeEach(async () => {
	context = await testContext();
	world = await makeWorld(context);
	[oslo, , bogota] = world.people as [Person, Person, Person];
	stretch = await createSession(context, world.coach.id, {
		name: 'Long stretch',
		body: body('3 x 10 goblet squat @ 8/12/16 kg\n2 x 30 s plank')
	});
	// Friday evening of the first week: days 1 to 4 are over for everybody, and nobody checked in.
	context.at('2026-11-27T20:00:00Z');
});
afterEach(() => context.db.close());

describe('the shelf', () => {
	it('holds sessions in their newest version, and says whether they count', async () => {
		await put(true);
		await saveSession(context, world.coach.id, stretch.id, {
			name: 'Long stretch',
			body: body('3 x 30 s plank'),
			tags: [],
			basedOn: 1
		});
		expect(await shelfOf(context.db, world.challenge.id)).toMatchObject([
			{ sessionId: stretch.id, name: 'Long stretch', counts: true, seconds: 210 }
		]);
		await put(false);
		expect(await shelfOf(context.db, world.challenge.id)).toMatchObject([{ counts: false }]);
		await takeOffShelf(context, world.challenge, stretch.id);
		expect(await shelfOf(context.db, world.challenge.id)).toEqual([]);
		expect(await refusal(takeOffShelf(context, world.challenge, stretch.id))).toMatchObject({ status: 404 });
	});

	it('takes no session of another coach, and no more than it holds', async () => {
		expect(await refusal(put(true, world.coach.id))).toMatchObject({ status: 404 });
		expect(await refusal(putOnShelf(context, world.challenge, {}))).toMatchObject({ status: 400 });
		for (let i = 0; i < 20; i++) {
			const { id } = await createSession(context, world.coach.id, {
				name: `S${i}`,
				body: body('3 x 10 squat')
			});
			await put(false, id);
		}
		expect(await refusal(put(true))).toMatchObject({ status: 409 });
	});

	it('is open from somebody’s first day until their last has closed', async () => {
		await put(true);
		const there = async () => {
			const { shelf } = await standingOf(context, oslo);
			// What lies there is read with the group, and read again once the coach has changed it.
			expect(shelf).toHaveLength(1);
			return (await ownShelf(context, oslo)).length;
		};
		context.at('2026-11-23T04:29:00Z');
		expect(await there()).toBe(0);
		expect(await refusal(take())).toMatchObject({ status: 404 });
		context.at('2026-11-23T04:31:00Z');
		expect(await there()).toBe(1);
		context.at('2026-12-20T04:31:00Z');
		expect(await there()).toBe(0);
		expect(await refusal(shelfSession(context, oslo, stretch.id))).toMatchObject({ status: 404 });
	});

	it('gives each the session with their own load and their own exercises', async () => {
		await put(true);
		const first = async () => (await shelfSession(context, oslo, stretch.id)).outline.blocks[0]?.parts[0];
		// Without anything to hold it is what the body does alone.
		expect(await first()).toMatchObject({ exercise: 'Squat' });
		await context.db.query('update participant set kit = $1', [
			JSON.stringify([{ kind: 'dumbbell', kg: 8, count: 1 }])
		]);
		const [now] = await peopleOf(context, world.challenge, [oslo]);
		Object.assign(oslo, now);
		expect(await first()).toMatchObject({ exercise: 'Goblet squat', load: '8 kg' });
		await addOverride(context, await ownPersonOf(context, world, oslo.enrolmentId), BY_COACH, {
			target: { kind: 'exercise', exercise: 'Goblet squat' },
			change: { kind: 'replace', exercise: 'Sit to chair' },
			fromDay: 1,
			toDay: null,
			why: 'knee'
		});
		expect(await first()).toMatchObject({ exercise: 'Sit to chair' });
	});
});

describe('what is taken from it', () => {
	it('makes up for missed work where it counts, and is undone with it', async () => {
		await put(true);
		expect((await rowOf(oslo)).adherence).toMatchObject({ credit: 0, due: 3 });
		const id = context.ids.uuid();
		await take({ id, credit: 0.5, effort: 6, hurts: 'left knee', note: 'good' });
		expect(await rowOf(oslo)).toMatchObject({
			adherence: { credit: 0.5, due: 3 },
			extras: { taken: 1, credit: 0.5 },
			silent: 0
		});
		expect((await standingOf(context, oslo)).extras.credit).toBe(0.5);
		expect(await takingsOf(context.db, oslo.enrolmentId, context.clock.now())).toMatchObject([
			{ name: 'Long stretch', credit: 0.5, effort: 6, hurts: 'left knee', note: 'good', counts: true }
		]);
		await untake(context, oslo, id);
		expect(await rowOf(oslo)).toMatchObject({ adherence: { credit: 0 }, extras: { taken: 0 }, silent: 3 });
	});

	it('changes no figures where it does not, and stays what it was when the coach thinks again', async () => {
		await put(false);
		await take();
		await put(true);
		expect(await rowOf(oslo)).toMatchObject({ adherence: { credit: 0 }, extras: { taken: 1, credit: 0 } });
		await take();
		expect((await rowOf(oslo)).adherence.credit).toBe(1);
	});

	it('sent twice stands once; of somebody else it is not there', async () => {
		await put(true);
		const id = context.ids.uuid();
		await take({ id });
		await take({ id });
		expect((await rowOf(oslo)).extras.taken).toBe(1);
		expect(await refusal(take({ id }, bogota))).toMatchObject({ status: 404 });
		expect(await refusal(untake(context, bogota, id))).toMatchObject({ status: 404 });
	});

	it('is three a day at most', async () => {
		await put(true);
		for (let i = 0; i < 3; i++) await take();
		expect(await refusal(take())).toMatchObject({ status: 409 });
		context.at('2026-11-28T20:00:01Z');
		await take();
		expect((await rowOf(oslo)).extras.taken).toBe(4);
	});

	it.each([{ credit: 0 }, { credit: 1.5 }, { credit: null }, { effort: 11 }, { sessionId: 'x' }])(
		'is refused with %j',
		async (wrong) => {
			await put(true);
			expect(await refusal(take(wrong))).toMatchObject({ status: 400 });
		}
	);

	it('comes to the same when everything is worked out anew, and keeps its person enrolled', async () => {
		await put(true);
		await take({ credit: 0.75 });
		const before = await enrolmentById(context.db, oslo.enrolmentId);
		await context.db.query(`update enrolment set extras = '[]', last_seen = null`);
		await rebuild(context);
		expect(await enrolmentById(context.db, oslo.enrolmentId)).toEqual({
			...before,
			touched: expect.any(Number) as number
		});
		expect(before).toMatchObject({ extras: [[context.clock.now(), 0.75, 1]], lastSeen: context.clock.now() });
		const person = await ownPersonOf(context, world, oslo.enrolmentId);
		expect(await refusal(unenrol(context, person))).toMatchObject({ status: 409 });
	});

	it('is seen by the coach among what came in, what hurts first', async () => {
		await put(true);
		await take({}, bogota);
		context.at('2026-11-27T21:00:00Z');
		await take({ hurts: 'knee', credit: 0.5 });
		const now = context.clock.now();
		const seen = await cameIn(context.db, world.challenge.id, now - DAY_MS, now);
		expect(seen).toMatchObject([
			{ shelf: 'Long stretch', day: null, hurts: 'knee', done: 'part', credit: 0.5 },
			{ shelf: 'Long stretch', day: null, hurts: null, done: 'all' }
		]);
		expect(await takingsBySession(context.db, world.challenge.id)).toEqual(
			new Map([[stretch.id, { times: 2, people: 2 }]])
		);
	});
});

describe('a bundle', () => {
	it('carries the shelf, and says where it names no session', async () => {
		await put(true);
		const text = bundleText(await exportBundle(context, world.challenge));
		const practice = await practiceOf(context.db, world.coach.id);
		const { bundle } = readBundle(text, practice);
		if (!bundle) throw new Error('not read');
		const as = { name: 'Again', startsOn: '2027-01-04' };
		const id = await importBundle(context, world.coach.id, bundle, as);
		expect(await shelfOf(context.db, id)).toMatchObject([{ name: 'Long stretch', counts: true }]);
		expect(bundle.shelf).toHaveLength(1);
		const broken = text.replace(/("shelf": \[\s*\{\s*"counts": true,\s*"session": )"s\d+"/, '$1"s99"');
		expect(readBundle(broken, practice).faults).toMatchObject([{ place: 'shelf[0].session' }]);
	});
});
