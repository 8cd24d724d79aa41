import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { inputOfExercise } from '$contracts/exercise';
import { libraryOf, STANDARD } from '$core/exercise';
import { DEFAULT_HOUSE } from '$core/practice';
import { compileSession } from '$core/session';
import { createCoach } from '$lib/server/account/auth/coach';
import { type Coach } from '$lib/server/records/coach';
import { exercisesCsv, readExercisesCsv } from '$lib/server/training/exercise/exercise-file';
import {
	changeExercise,
	createExercise,
	createExercises,
	retireExercise
} from '$lib/server/training/exercise/exercises';
import { libraryFor, ownExercises } from '$lib/server/records/library';
import { houseOf, practiceOf } from '$lib/server/records/practice';
import { saveHouse } from '$lib/server/training/practice/house';
import { createSession, sessionOf } from '$lib/server/training/session/sessions';
import { refusal } from '../support/refusal';
import { body, PASSWORD, testContext, type TestContext } from '../support/context';

let context: TestContext;
let coach: Coach;
let other: Coach;
beforeAll(async () => {
	context = await testContext();
	const coaches = ['liv', 'ruan'].map((name) =>
		createCoach(context, { email: `${name}@huts.example`, name, zone: 'Europe/Oslo', password: PASSWORD })
	);
	[coach, other] = (await Promise.all(coaches)) as [Coach, Coach];
});
afterAll(() => context.db.close());

const BEAM = {
	name: 'Beam lift',
	countedIn: 'reps',
	perSide: false,
	tempo: [3, 0, 2, 0],
	pattern: 'hinge',
	primary: ['glutes', 'hamstrings'],
	assisting: ['lower back', 'glutes'],
	equipment: [{ item: 'loaded backpack', count: 1 }],
	position: 'standing',
	demands: { impact: 'none', balance: 0 },
	cues: ['Hips back'],
	cautions: [],
	looksLike: 'Backpack deadlift',
	easier: 'Hip hinge',
	harder: null
};
describe('a coach’s own exercises', () => {
	let id: string;
	it('are hers alone, with a place in a progression and a muscle counted once', async () => {
		id = await createExercise(context, coach.id, BEAM);
		const [own] = await ownExercises(context.db, coach.id);
		expect(own).toMatchObject({
			name: 'Beam lift',
			ownId: id,
			primary: ['glutes', 'hamstrings'],
			assisting: ['lower back']
		});
		const library = await libraryFor(context.db, coach.id);
		expect(library.easier('beam lifts')?.name).toBe('Hip hinge');
		expect(await ownExercises(context.db, other.id)).toEqual([]);
	});

	it.each([
		[{ name: ' ' }, 'name', 'needs a name'],
		[{ name: 'a: b' }, 'name', 'none of the signs'],
		[{ name: 'x'.repeat(81) }, 'name', 'at most 80'],
		[{ pattern: 'flying' }, 'pattern', 'there is no “flying”'],
		[{ primary: [] }, 'primary', 'at least one muscle'],
		[{ primary: ['wings'] }, 'primary[0]', 'there is no “wings”'],
		[{ tempo: ['a', 'b', 'c', 'd'] }, 'tempo[0]', 'four numbers'],
		[{ tempo: [1, 2] }, 'tempo', 'four numbers'],
		[{ tempo: [0, 0, 0, 0] }, 'tempo', 'takes some time'],
		[{ tempo: [-1, 0, 1, 0] }, 'tempo[0]', '0 to 20'],
		[{ equipment: [{ item: 'anvil', count: 1 }] }, 'equipment[0].item', 'there is no “anvil”'],
		[{ equipment: [{ item: 'mat', count: 99 }] }, 'equipment[0].count', '1 to 9'],
		[{ cues: [] }, 'cues', 'at least one cue'],
		[{ cues: ['a', 'b', 'c', 'd', 'e'] }, 'cues', 'at most 4'],
		[{ demands: { balance: 7 } }, 'demands.balance', 'from 0 to 3'],
		[{ demands: { knee: 1.5 } }, 'demands.knee', 'from 0 to 3'],
		[{ demands: { impact: 'huge' } }, 'demands.impact', 'there is no “huge”'],
		[{ demands: { relativeLoad: 9 } }, 'demands.relativeLoad', '0.05 to 3'],
		[{ demands: { charm: 1 } }, 'demands', 'charm'],
		[{ pattern: 'jump', demands: { impact: 'low' } }, 'demands', 'A jump has high impact']
	])('%j is refused with its place', async (wrong, field, says) => {
		const refused = await refusal(createExercise(context, coach.id, { ...BEAM, name: 'New', ...wrong }));
		expect(refused.status).toBe(400);
		const fault = refused.faults.find((one) => one.field === field);
		expect(fault?.message).toContain(says);
	});

	it('no two have one name, and none the name of one that ships', async () => {
		expect(await refusal(createExercise(context, coach.id, { ...BEAM, name: 'beam LIFT' }))).toMatchObject({
			status: 409
		});
		const ships = await refusal(createExercise(context, coach.id, { ...BEAM, name: 'goblet squats' }));
		expect(ships.message).toContain('Goblet squat');
		await expect(createExercise(context, other.id, BEAM)).resolves.toBeTruthy();
	});

	it('a new name leaves sessions built under the old one what they were', async () => {
		const saved = await createSession(context, coach.id, {
			name: 'Beams',
			body: body('3 x 10 beam lift @ 14 kg')
		});
		const before = await sessionOf(context.db, coach.id, saved.id);
		await changeExercise(context, coach.id, id, { ...BEAM, name: 'Roof beam lift' });
		const after = await sessionOf(context.db, coach.id, saved.id);
		expect(after.body).toEqual(before.body);
		const timing = await practiceOf(context.db, coach.id);
		expect(timing.library.find('Beam lift')?.name).toBe('Roof beam lift');
		// 3 × 10 × 5 s and two rests of 60: the pace is found under the former name
		expect(compileSession(after.body, timing).totals.duration).toBe(270);
		expect(before.seconds).toBe(270);
	});

	it('can take a former name back', async () => {
		await changeExercise(context, coach.id, id, BEAM);
		const [own] = await ownExercises(context.db, coach.id);
		expect(own).toMatchObject({ name: 'Beam lift', formerly: ['Roof beam lift'] });
	});

	it('a retired one is no longer offered, but found, and can come back', async () => {
		await retireExercise(context, coach.id, id, true);
		let library = await libraryFor(context.db, coach.id);
		expect(library.names()).not.toContain('Beam lift');
		expect(library.find('Beam lift')?.retired).toBe(true);
		await retireExercise(context, coach.id, id, false);
		library = await libraryFor(context.db, coach.id);
		expect(library.names()).toContain('Beam lift');
	});

	it('another coach’s is not there', async () => {
		expect(await refusal(changeExercise(context, other.id, id, BEAM))).toMatchObject({ status: 404 });
		expect(await refusal(retireExercise(context, other.id, id, true))).toMatchObject({ status: 404 });
		expect(await refusal(retireExercise(context, coach.id, 'nonsense', true))).toMatchObject({ status: 404 });
	});
});

describe('the library as CSV', () => {
	it('goes out whole and comes in again as the same', async () => {
		const library = await libraryFor(context.db, coach.id);
		const csv = exercisesCsv(library);
		// The heading, every exercise, and the end of the last line.
		expect(csv.split('\r\n')).toHaveLength(library.names().length + 2);
		const { inputs, faults, known } = readExercisesCsv(csv, STANDARD);
		expect(faults).toEqual([]);
		expect(known).toHaveLength(STANDARD.names().length);
		const { formerly, ownId, retired } = library.find('Beam lift')!;
		const own = inputOfExercise(library.find('Beam lift')!);
		expect([formerly.length, typeof ownId, retired]).toEqual([1, 'string', false]);
		// The nearest harder form is written out, so that it is not lost where progressions differ.
		expect(inputs).toEqual([own]);
	});

	it('takes in many or none', async () => {
		const made = ['Gutter reach', 'Stone walk'].map((name) => ({
			...inputOfExercise(libraryOf().find('Squat')!),
			name
		}));
		expect(await createExercises(context, other.id, made)).toBe(2);
		const again = await refusal(
			createExercises(context, other.id, [{ ...made[0]!, name: 'Third' }, made[1]!])
		);
		expect(again.status).toBe(409);
		expect((await ownExercises(context.db, other.id)).map(({ name }) => name)).not.toContain('Third');
	});
});

describe('house rules', () => {
	it('are as usual until set, and hers alone', async () => {
		expect(await houseOf(context.db, coach.id)).toEqual(DEFAULT_HOUSE);
		await saveHouse(context.db, coach.id, {
			...DEFAULT_HOUSE,
			stretchHold: '45',
			tempo: ['3', '1', '2', '0']
		});
		expect(await houseOf(context.db, coach.id)).toMatchObject({ stretchHold: 45, tempo: [3, 1, 2, 0] });
		expect(await houseOf(context.db, other.id)).toEqual(DEFAULT_HOUSE);
	});

	it('set the pace of exercises without one of their own', async () => {
		const timing = await practiceOf(context.db, coach.id);
		// an unknown exercise: 10 × (3 + 1 + 2)
		expect(compileSession(body('1 x 10 roof dance, rest 0'), timing).totals.duration).toBe(60);
	});

	it.each([
		[{ stretchHold: 'long' }, 'hold of a stretch is a number from 5 to 120'],
		[{ stretchHold: 1 }, 'from 5 to 120'],
		[{ minuteLeft: 2.5 }, 'whole number'],
		[{ tempo: ['2', '0'] }, 'four numbers'],
		[{ tempo: ['0', '0', '0', '0'] }, 'takes some time'],
		[{ knee: 'never' }, 'must be one of']
	])('%j is refused', async (wrong, says) => {
		const refused = await refusal(saveHouse(context.db, coach.id, { ...DEFAULT_HOUSE, ...wrong }));
		expect(refused.message).toContain(says);
		expect(await houseOf(context.db, coach.id)).toMatchObject({ stretchHold: 45 });
	});
});
