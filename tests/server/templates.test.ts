import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import type { Coach } from '$lib/server/records/coach';
import { deleteTemplate, saveTemplate, templatesOf } from '$lib/server/contact/post/templates';
import { makeCoach, testContext } from '../support/context';

const context = await testContext();
afterAll(() => context.db.close());
let coaches = 0;
let world: { coach: Coach };
beforeEach(async () => {
	world = { coach: await makeCoach(context, `Coach${coaches++}`) };
});
const id = () => context.ids.uuid();

describe('templates', () => {
	const save = (raw: object) =>
		saveTemplate(context, world.coach.id, { name: 'Halfway', subject: 'Halfway', text: 'x', ...raw });
	const all = () => templatesOf(context.db, world.coach.id);
	it('are kept by name, replaced, and deleted', async () => {
		await save({});
		await save({ text: 'Halfway, {name}.' });
		await save({ name: 'Almost there' });
		expect((await all()).map(({ name, text }) => [name, text])).toEqual([
			['Almost there', 'x'],
			['Halfway', 'Halfway, {name}.']
		]);
		await deleteTemplate(context, world.coach.id, (await all())[0]!.id);
		expect(await all()).toHaveLength(1);
		await expect(deleteTemplate(context, world.coach.id, id())).rejects.toMatchObject({ status: 404 });
	});
	it('say what is wrong with them, and are bounded', async () => {
		await expect(save({ text: '{nam}' })).rejects.toThrow(/did you mean \{name\}/);
		await expect(save({ name: '' })).rejects.toThrow(/needs a name/);
		for (let i = 0; i < 100; i++) await save({ name: `No. ${i}` });
		await expect(save({})).rejects.toMatchObject({ status: 409 });
		await save({ name: 'No. 1', text: 'changed' });
	});
});
