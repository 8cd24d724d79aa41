import exifr from 'exifr';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { beforeEach, describe, expect, it } from 'vitest';
import { keepMeasure, measuresOf, removeMeasure } from '$lib/server/people/body/measures';
import {
	addPicture,
	picturesOf,
	readPicture,
	removePicture,
	sharedPicturesOf,
	sharePicture
} from '$lib/server/people/body/pictures';
import { shrink } from '$lib/server/people/body/shrink';
import { keepWeekly, weekliesOf } from '$lib/server/people/body/weekly';
import {
	answerFormCheck,
	formChecksIn,
	formChecksOf,
	markFormSeen,
	openFormChecks,
	readFormCheck,
	removeFormCheck,
	sendFormCheck
} from '$lib/server/contact/messages/form-checks';
import { forget, ownDataOf } from '$lib/server/account/privacy/own-data';
import { shownInPart } from '$lib/server/edge/web/file-in';
import { inNeed } from '$lib/server/contact/reach/triage';
import type { Person } from '$lib/server/records/person';
import { bareClip } from '$lib/server/contact/messages/bare-clip';
import { clip as clipOf, webm } from '../support/clips';
import { makeWorld, ownPersonOf, testContext, type TestContext, type World } from '../support/context';
import { storeIn } from '../support/kept-files';
import { ownFolder } from '../support/directories';
import { bytesOf, sent } from '../support/sent';

const config = storeIn(ownFolder('body'));
let base: TestContext;
let world: World;
let me: Person;
let you: Person;
const context = () => ({ ...base, config });

beforeEach(async () => {
	base = await testContext();
	base.at('2026-11-25T12:00:00Z');
	world = await makeWorld(base);
	[me, you] = world.people as [Person, Person];
	return () => base.db.close();
});
const id = () => base.ids.uuid();
const files = (folder: string) => {
	try {
		return readdirSync(join(config.dataDirectory, folder));
	} catch {
		return [];
	}
};

describe('measures', () => {
	const keep = (raw: object, person = me) =>
		keepMeasure(base, person, { id: id(), kind: 'weight', value: '80', on: '2026-11-25', ...raw });
	const all = (person = me) => measuresOf(base.db, person.participantId, base.clock.now());

	it('are kept in kg and m, whatever they are typed in, at the time or at noon of the day', async () => {
		await keep({ value: '80.5' });
		await keep({ kind: 'waist', value: '91', on: '2026-11-20' });
		expect(await all()).toMatchObject([
			{ kind: 'waist', value: 0.91, at: Date.parse('2026-11-20T11:00:00Z'), source: 'typed' },
			{ kind: 'weight', value: 80.5, at: base.clock.now() }
		]);
		const pounds = { ...you, units: 'lb' as const };
		await keep({ value: '180', source: 'scale' }, pounds);
		await keep({ kind: 'arm', value: '12' }, pounds);
		const [weight, arm] = (await all(you)).sort((a, b) => b.value - a.value);
		expect(weight).toMatchObject({ value: expect.closeTo(81.6466, 4) as number, source: 'scale' });
		expect(arm!.value).toBeCloseTo(0.3048, 9);
	});

	it('sent twice are kept once, and never under the id of another’s', async () => {
		const same = id();
		await keep({ id: same });
		await keep({ id: same, value: '90' });
		expect(await all()).toMatchObject([{ value: 80 }]);
		await expect(keep({ id: same }, you)).rejects.toMatchObject({ status: 404 });
		await expect(removeMeasure(base, you, same)).rejects.toMatchObject({ status: 404 });
		await removeMeasure(base, me, same);
		expect(await all()).toEqual([]);
	});

	it.each([
		[{ value: 'much' }, 'value', 'a number is expected'],
		[{ value: '' }, 'value', 'a number is expected'],
		[{ value: '900' }, 'value', 'Weight: from 25 to 350 kg'],
		[{ kind: 'waist', value: '0.9' }, 'value', 'Waist: from 30 to 250 cm'],
		[{ kind: 'toe' }, 'kind', 'say what was measured'],
		[{ on: '2026-11-26' }, 'on', 'today or a day before it'],
		[{ on: '0026-11-25' }, 'on', 'a day of the last ten years'],
		[{ on: 'today' }, 'on', 'choose a day']
	])('say what would be right: %j', async (raw, field, message) => {
		await expect(keep(raw)).rejects.toMatchObject({
			status: 400,
			faults: [{ field, message: expect.stringContaining(message) as string }]
		});
		expect(await all()).toEqual([]);
	});

	it('that fall too fast are a reason about safety', async () => {
		for (const [i, day] of ['10', '13', '16', '19', '22', '25'].entries())
			await keep({ value: String(80 - i * 0.6), on: `2026-11-${day}` });
		const found = await inNeed({ app: base }, world.challenge, base.clock.now());
		const [one] = found;
		expect(one!.person.id).toBe(me.enrolmentId);
		expect(one!.reasons[0]).toMatchObject({ kind: 'losing', kgPerWeek: expect.closeTo(-1.4, 1) as number });
	});
});

describe('a week looked back on', () => {
	const keep = (week: number, raw: object) => keepWeekly(base, me, { week, begun: 2 }, { id: id(), ...raw });
	const all = () => weekliesOf(base.db, me.enrolmentId, base.clock.now());
	it('is kept, and changed by saying it again', async () => {
		await keep(1, { favourite: 'Squat', confidence: '' });
		await keep(1, { favourite: ' Plank ', hardest: '', obstacle: 'work', confidence: '7' });
		expect(await all()).toMatchObject([
			{ week: 1, favourite: 'Plank', hardest: null, obstacle: 'work', confidence: 7 }
		]);
	});
	it('is not there under the id of another week, or of somebody else’s', async () => {
		const theirs = id();
		await keepWeekly(base, you, { week: 1, begun: 2 }, { id: theirs, favourite: 'Squat' });
		await expect(keep(1, { id: theirs, favourite: 'Plank' })).rejects.toMatchObject({ status: 404 });
		const own = id();
		await keep(1, { id: own, favourite: 'Plank' });
		await expect(keep(2, { id: own, favourite: 'Plank' })).rejects.toMatchObject({ status: 404 });
	});
	it('is refused where it is none', async () => {
		await expect(keep(3, { favourite: 'x' })).rejects.toMatchObject({ status: 404 });
		await expect(keep(0, { favourite: 'x' })).rejects.toMatchObject({ status: 404 });
		await expect(keep(1, { favourite: ' ' })).rejects.toThrow('Say at least one thing');
		await expect(keep(1, { confidence: '11' })).rejects.toMatchObject({ status: 400 });
		expect(await all()).toEqual([]);
	});
});

/** A picture as a phone takes it: turned, with a place and a device in it. */
const taken = (width = 800, height = 600) =>
	sharp({ create: { width, height, channels: 3, background: '#c98a12' } })
		.withExif({
			IFD0: { Make: 'Hutphone', Orientation: '6' },
			IFD3: {
				GPSLatitudeRef: 'N',
				GPSLatitude: '61/1 38/1 0/1',
				GPSLongitudeRef: 'E',
				GPSLongitude: '8/1 18/1 0/1'
			}
		})
		.withMetadata({ orientation: 6 })
		.jpeg()
		.toBuffer();

describe('a photograph', () => {
	const add = async (raw: object = {}, bytes?: Uint8Array, person = me) =>
		sent(bytes ?? (await taken()), (file) =>
			addPicture(context(), person, { view: 'front', on: '2026-11-25', ...raw }, file)
		);
	const all = () => picturesOf(base.db, me.participantId);

	it('is kept upright and small, without where and with what it was taken', async () => {
		const raw = await taken(4000, 3000);
		expect(await exifr.parse(raw, { gps: true }), 'it was there').toMatchObject({
			Make: 'Hutphone',
			latitude: expect.closeTo(61.63, 1) as number
		});
		await add({}, new Uint8Array(raw));
		const [kept] = await all();
		expect(kept).toMatchObject({
			view: 'front',
			takenOn: '2026-11-25',
			width: 1200,
			height: 1600,
			shared: false
		});
		const content = await bytesOf(await readPicture(context(), me.participantId, kept!.id, true));
		expect(await exifr.parse(content, true)).toBeUndefined();
		expect(content.includes('Hutphone')).toBe(false);
		expect((await sharp(content).metadata()).orientation).toBeUndefined();
	});

	it('is seen by its person alone until they share it, and no more when they stop', async () => {
		await add();
		const [{ id: picture } = { id: '' }] = await all();
		const coach = () => readPicture(context(), me.participantId, picture, false);
		await expect(coach()).rejects.toMatchObject({ status: 404 });
		expect(await sharedPicturesOf(base.db, me.participantId)).toEqual([]);
		await sharePicture(base, me, picture, true);
		expect((await coach()).size).toBeGreaterThan(100);
		await sharePicture(base, me, picture, false);
		await expect(coach()).rejects.toMatchObject({ status: 404 });
		await expect(sharePicture(base, you, picture, true)).rejects.toMatchObject({ status: 404 });
		await expect(readPicture(context(), you.participantId, picture, true)).rejects.toMatchObject({
			status: 404
		});
		await expect(removePicture(context(), you, picture)).rejects.toMatchObject({ status: 404 });
		await removePicture(context(), me, picture);
		expect(files('pictures').filter((name) => name.startsWith(picture))).toEqual([]);
	});

	it.each([
		['an SVG with a script', '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>', 400],
		['a text', 'no picture', 400],
		['nothing', '', 400],
		['the head of one', '\xff\xd8\xff\xe0', 400]
	])('that is %s is refused, and nothing is kept', async (_, text, status) => {
		const before = files('pictures').length;
		await expect(add({}, new Uint8Array(Buffer.from(text, 'latin1')))).rejects.toMatchObject({ status });
		expect(await all()).toEqual([]);
		expect(files('pictures')).toHaveLength(before);
	});

	it('that is cut short, too large or unpacks to too much is refused', async () => {
		const whole = await taken(2000, 2000);
		await expect(add({}, new Uint8Array(whole.subarray(0, 3000)))).rejects.toMatchObject({ status: 400 });
		await expect(add({}, new Uint8Array(30 * 1024 * 1024 + 1))).rejects.toMatchObject({ status: 413 });
		const huge = await sharp({ create: { width: 12_000, height: 8_000, channels: 3, background: '#000' } })
			.png()
			.toBuffer();
		await expect(sent(huge, (file) => shrink(file!.path))).rejects.toMatchObject({ status: 413 });
		await expect(add({ view: 'above' })).rejects.toMatchObject({ status: 400 });
		await expect(add({ on: '2026-12-01' })).rejects.toMatchObject({ status: 400 });
	});

	it('is one of sixty at most', async () => {
		const small = new Uint8Array(await taken(20, 20));
		for (let i = 0; i < 60; i++) await add({}, small);
		await expect(add({}, small)).rejects.toMatchObject({ status: 409 });
	});
});

describe('a form check', () => {
	/** As it is kept. */
	const clip = bareClip(new Uint8Array(clipOf()), 'video/mp4');
	const send = async (raw: object = {}, bytes = new Uint8Array(clipOf()), person = me) =>
		sent(bytes, (file) => sendFormCheck(context(), person, { exercise: 'Squat', ...raw }, file));
	const own = () => ownPersonOf(base, world, me.enrolmentId);
	const answer = async (raw: object, check?: string) =>
		answerFormCheck(
			base,
			world.challenge,
			await own(),
			world.coach.id,
			check ?? (await formChecksOf(base.db, me.enrolmentId))[0]!.id,
			raw
		);

	it('is a clip or a picture, without what the camera wrote', async () => {
		await send({ note: 'low enough?' });
		base.at('2026-11-25T12:01:00Z');
		await send({}, new Uint8Array(await taken()));
		const [picture, film] = await formChecksOf(base.db, me.enrolmentId);
		expect([picture!.type, film!.type, film!.note]).toEqual(['image/jpeg', 'video/mp4', 'low enough?']);
		const read = await readFormCheck(context(), me.enrolmentId, film!.id);
		expect(new Uint8Array(await read.content.arrayBuffer())).toEqual(clip);
		expect(
			await exifr.parse(
				await bytesOf((await readFormCheck(context(), me.enrolmentId, picture!.id)).content),
				true
			)
		).toBeUndefined();
		await expect(readFormCheck(context(), you.enrolmentId, film!.id)).rejects.toMatchObject({ status: 404 });
		expect(await openFormChecks(base.db, world.challenge.id)).toBe(2);
	});

	it('is told by what it begins with', async () => {
		await send({}, new Uint8Array(webm()));
		await send({}, new Uint8Array(clipOf('qt  ')));
		const types = (await formChecksOf(base.db, me.enrolmentId)).map(({ type }) => type).sort();
		expect(types).toEqual(['video/quicktime', 'video/webm']);
		await expect(send({}, new Uint8Array([1, 2, 3, 4]))).rejects.toMatchObject({ status: 400 });
		await expect(send({}, new Uint8Array())).rejects.toMatchObject({ status: 400 });
		await expect(send({}, new Uint8Array(30 * 1024 * 1024 + 1))).rejects.toMatchObject({ status: 413 });
		await expect(send({ exercise: ' ' })).rejects.toMatchObject({ status: 400 });
	});

	it('is answered with a cue and a place in it, seen, and answered anew', async () => {
		await send();
		await answer({ cue: 'Knees out', mark: { x: 0.5, y: 0.25, at: 1.2 } });
		expect(await formChecksIn(base.db, world.challenge.id)).toMatchObject([
			{
				cue: 'Knees out',
				mark: { x: 0.5, y: 0.25, at: 1.2 },
				by: 'Runa',
				seenAt: null,
				person: { name: 'Person 1' }
			}
		]);
		expect(await openFormChecks(base.db, world.challenge.id)).toBe(0);
		await markFormSeen(base, me.enrolmentId);
		expect((await formChecksOf(base.db, me.enrolmentId))[0]!.seenAt).toBe(base.clock.now());
		await answer({ cue: 'And heels down' });
		expect((await formChecksOf(base.db, me.enrolmentId))[0]).toMatchObject({
			cue: 'And heels down',
			mark: null,
			seenAt: null
		});
	});

	it.each([
		{ cue: '' },
		{ cue: 'x', mark: { x: 2, y: 0, at: 0 } },
		{ cue: 'x', mark: { x: 0.1 } },
		{ cue: 'x'.repeat(1001) }
	])('is not answered with %j', async (raw) => {
		await send();
		await expect(answer(raw)).rejects.toMatchObject({ status: 400 });
		expect(await openFormChecks(base.db, world.challenge.id)).toBe(1);
	});

	it('waits for no more than five at once, and is deleted with its file', async () => {
		for (let i = 0; i < 5; i++) await send();
		await expect(send()).rejects.toMatchObject({ status: 409 });
		const [{ id: check } = { id: '' }] = await formChecksOf(base.db, me.enrolmentId);
		await removeFormCheck(context(), me.enrolmentId, check);
		expect(files('form').filter((name) => name.startsWith(check))).toEqual([]);
		await expect(removeFormCheck(context(), you.enrolmentId, check)).rejects.toMatchObject({ status: 404 });
		await send();
	});

	it('is played from where the player asks (RFC 9110, 14)', async () => {
		const bytes = new Uint8Array([0, 1, 2, 3, 4, 5, 6, 7, 8, 9]);
		const part = async (range: string | null) => {
			const answered = shownInPart(new Blob([bytes]), 'video/mp4', range);
			return [
				answered.status,
				answered.headers.get('content-range'),
				[...new Uint8Array(await answered.arrayBuffer())]
			];
		};
		expect(await part(null)).toEqual([200, null, [...bytes]]);
		expect(await part('bytes=2-4')).toEqual([206, 'bytes 2-4/10', [2, 3, 4]]);
		expect(await part('bytes=7-')).toEqual([206, 'bytes 7-9/10', [7, 8, 9]]);
		expect(await part('bytes=-2')).toEqual([206, 'bytes 8-9/10', [8, 9]]);
		expect(await part('bytes=20-')).toEqual([416, 'bytes */10', []]);
	});
});

it('all of it is in somebody’s own data, and goes with them', async () => {
	await keepMeasure(base, me, { id: id(), kind: 'weight', value: '80', on: '2026-11-25' });
	await keepWeekly(base, me, { week: 1, begun: 1 }, { id: id(), favourite: 'Squat' });
	const small = await taken(40, 40);
	await sent(small, (file) => addPicture(context(), me, { view: 'front', on: '2026-11-25' }, file));
	await sent(small, (file) => sendFormCheck(context(), me, { exercise: 'Squat' }, file));
	const data = await ownDataOf(base, me.participantId);
	expect([data.records.measure.length, data.records.picture.length]).toEqual([1, 1]);
	expect([data.challenges[0]!.records.weekly.length, data.challenges[0]!.records.form_check.length]).toEqual([
		1, 1
	]);
	const before = [files('pictures').length, files('form').length];
	await forget({ ...base, config }, me.participantId);
	expect([files('pictures').length, files('form').length]).toEqual([before[0]! - 1, before[1]! - 1]);
	const after = await ownDataOf(base, me.participantId);
	expect([after.records.measure, after.records.picture, after.challenges[0]!.records.form_check]).toEqual([
		[],
		[],
		[]
	]);
});
