import { describe, expect, it } from 'vitest';
import type { Screening } from '$core/health';
import { ANSWERS } from '../../../../tests/support/intake';
import { answersFrom, IntakeForm, type Sections, type Sender, type Sent } from './intake.svelte';

const GO: Screening = { clearance: 'go', reasons: [], cautions: [] };
const { consent: _consent, ...ANSWERED } = ANSWERS;

/** A store as a browser has one. */
function storeOf(kept: Record<string, string> = {}) {
	return {
		kept,
		getItem: (key: string) => kept[key] ?? null,
		setItem: (key: string, value: string) => void (kept[key] = value),
		removeItem: (key: string) => void Reflect.deleteProperty(kept, key)
	};
}

/** Sends into a list; `answer` null stands for no connection. */
function senderOf(answer: () => Sent) {
	const sent: unknown[] = [];
	const sender: Sender = {
		section: (name, answers) => {
			sent.push([name, answers]);
			return Promise.resolve(answer() === null ? null : { ok: true });
		},
		all: (id, sections) => {
			sent.push(['all', id, Object.keys(sections)]);
			return Promise.resolve(answer());
		}
	};
	return { sent, sender };
}

function formOf(
	sections: Sections,
	{ answer = (): Sent => ({ screening: GO }), store = storeOf(), goesOn = true } = {}
) {
	const { sent, sender } = senderOf(answer);
	let ids = 0;
	const form = new IntakeForm(sections, 'Europe/Oslo', 'key', sender, store, () => `id-${++ids}`, goesOn);
	return { form, sent, store };
}

describe('the questions before the start', () => {
	it('begin open, with the zone alone', () => {
		const { you, training, health } = answersFrom({}, 'Asia/Tehran');
		expect(you).toEqual({ displayName: '', zone: 'Asia/Tehran', hour: '', units: 'kg' });
		expect(training.level).toBeNull();
		expect(Object.values(health).every((answer) => answer === null)).toBe(true);
	});

	it('go on where somebody stopped, and begin at the first where nothing or everything is answered', () => {
		expect(formOf({}).form.section).toBe('you');
		expect(formOf({ you: ANSWERS.you, training: ANSWERS.training }).form.section).toBe('kit');
		expect(formOf(ANSWERED).form.section).toBe('you');
		expect(formOf({ you: ANSWERS.you, training: ANSWERS.training }, { goesOn: false }).form.section).toBe(
			'you'
		);
	});

	it('stay at a section until it is answered, with what is missing beside its fields', async () => {
		const { form, sent } = formOf({ you: ANSWERS.you });
		await form.next();
		expect(form.section).toBe('training');
		expect(sent).toEqual([['you', ANSWERS.you]]);
		await form.next();
		expect(form.section).toBe('training');
		expect(form.faults.level).toBe('choose what fits you best');
		expect(sent).toHaveLength(1);
		form.back();
		expect([form.section, form.faults]).toEqual(['you', {}]);
		form.back();
		expect(form.section).toBe('you');
	});

	it('are kept on the device at each step, and are there again', async () => {
		const { form, store } = formOf({ you: ANSWERS.you });
		await form.next();
		form.answers.training = { ...ANSWERS.training, goals: 'x' };
		await form.next();
		const { form: again } = formOf({}, { store });
		expect([again.section, again.answers.training.goals]).toEqual(['kit', 'x']);
		expect(formOf({}, { store: storeOf({ key: 'no JSON' }) }).form.section).toBe('you');
		expect(formOf({}, { store: storeOf({ key: '{"answers":{}}' }) }).form.section).toBe('you');
	});

	it('are kept at each change, and not where they are only looked at', () => {
		const { form, store } = formOf(ANSWERED);
		form.keepChange();
		expect(store.kept).toEqual({});
		form.answers.training.goals = 'up the hut path';
		form.keepChange();
		const { form: again } = formOf({}, { store });
		expect(again.answers.training.goals).toBe('up the hut path');
	});

	it('are sent as a whole with one id, and what was kept on the device goes', async () => {
		const { form, sent, store } = formOf(ANSWERED);
		for (let i = 0; i < 5; i++) await form.next();
		expect(form.section).toBe('consent');
		await form.next();
		expect(form.faults.agreed).toMatch(/without your consent/);
		form.answers.consent.agreed = true;
		await form.next();
		expect(sent.at(-1)).toEqual(['all', 'id-1', Object.keys(ANSWERS)]);
		expect(form.screening).toEqual(GO);
		expect(store.kept).toEqual({});
	});

	it('wait without a connection, and are sent with the same id once there is one, also after a reload', async () => {
		let connected = false;
		const answer = (): Sent => (connected ? { screening: GO } : null);
		const { form, store } = formOf(ANSWERED, { answer });
		form.step = 5;
		form.answers.consent.agreed = true;
		await form.next();
		expect([form.waiting, form.offline, form.screening]).toEqual([true, true, null]);
		const { form: reloaded, sent } = formOf({}, { answer, store });
		expect(reloaded.waiting).toBe(true);
		await reloaded.send();
		connected = true;
		await reloaded.send();
		expect(sent.map((one) => (one as unknown[])[1])).toEqual(['id-1', 'id-1']);
		expect([reloaded.waiting, reloaded.screening]).toEqual([false, GO]);
		await reloaded.send();
		expect(sent).toHaveLength(2);
	});

	it('come back with what was refused, and are sent under another id after that', async () => {
		let refuses = true;
		const answer = (): Sent =>
			refuses
				? { message: 'Not yet.', faults: [{ field: 'zone', message: 'no such zone' }] }
				: { screening: GO };
		const { form, sent } = formOf(ANSWERED, { answer });
		form.step = 5;
		form.answers.consent.agreed = true;
		await form.next();
		expect([form.waiting, form.refused, form.faults]).toEqual([false, 'Not yet.', { zone: 'no such zone' }]);
		refuses = false;
		await form.next();
		expect(sent.map((one) => (one as unknown[])[1])).toEqual(['id-1', 'id-2']);
	});

	it('go to the first section that is not sound when everything is sent', async () => {
		const { form } = formOf(ANSWERED);
		form.step = 5;
		form.answers.consent.agreed = true;
		form.answers.kit = { none: true, owned: [{ kind: 'item', item: 'mat', count: 1 }], other: '' };
		await form.next();
		expect(form.section).toBe('kit');
		expect(form.faults.none).toMatch(/Which of the two/);
	});
});
