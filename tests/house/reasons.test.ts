/** A triage reason is one file: nothing outside triage lists the kinds, and a new one is known everywhere once registered. */
import { readdirSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
	DEFAULT_TONE,
	definitionOf,
	draftFor,
	isAnswered,
	REASON_KINDS,
	REASON_TITLE,
	reasonSentence,
	registerReason,
	triage,
	type Reason,
	type ReasonKind,
	type TriageFacts
} from '$core/triage';
import { attendanceOf } from '$core/attendance';
import { DEFAULT_HOUSE } from '$core/practice';
import type { FieldValues } from '$core/text/template';
import { HOUR, NOTHING_TOLD, opens, somebody } from '../support/triage-people';

/** Somebody who has trained on as many days as they have fingers. */
const hands = {
	kind: 'hands',
	group: 'praise' as const,
	title: 'Two hands full',
	firstAction: 'praised' as const,
	isSettledByAnswer: true,
	coveredBy: ['full week'],
	find: ({ checkins }: TriageFacts) =>
		checkins.length === 10 ? { since: checkins[0]!.at, count: checkins.length } : null,
	sentence: (reason: { since: number }, { when }: { when: (at: number) => string }) =>
		`Ten check-ins, ${when(reason.since)}.`,
	draft: () => ({ says: 'That was the tenth day on which you trained.' })
};
const KIND = 'hands' as ReasonKind;

const trained = (letters: string): Reason[] => {
	const now = opens(letters.length + 1) + 8 * HOUR;
	const facts = somebody(letters.padEnd(21, 'a'));
	const attendance = attendanceOf(facts.days, { strip: facts.strip, extras: [] }, now);
	return triage({ ...NOTHING_TOLD, ...facts, attendance }, DEFAULT_HOUSE, now);
};

it('each file of reasons/ has one definition, which is registered under its name', async () => {
	const files = readdirSync('src/core/triage/reasons').filter((name) => name !== 'index.ts');
	const kinds = files.map((name) => name.replace('.ts', '').replaceAll('-', ' '));
	expect(kinds.sort()).toEqual(Object.keys(REASON_KINDS).sort());
	for (const name of files) {
		const path = `../../src/core/triage/reasons/${name}`;
		expect(Object.keys((await import(/* @vite-ignore */ path)) as object)).toHaveLength(1);
	}
});

describe('a reason of a single file, once registered', () => {
	let unregister: () => void;
	beforeAll(() => (unregister = registerReason(hands)));
	afterAll(() => unregister());

	it('is found, named and grouped', () => {
		expect(trained('d'.repeat(12)).map(({ kind }) => kind)).toContain(KIND);
		expect(trained('d'.repeat(8)).map(({ kind }) => kind)).not.toContain(KIND);
		expect([REASON_KINDS[KIND], REASON_TITLE[KIND]]).toEqual(['praise', 'Two hands full']);
		expect(definitionOf(KIND).firstAction).toBe('praised');
	});

	it('is left out beside one that covers it', () => {
		const kinds = trained('d'.repeat(14)).map(({ kind }) => kind);
		expect(kinds).toContain('full week');
		expect(kinds).not.toContain(KIND);
	});

	it('has its sentence, its draft, and is settled by an answer', () => {
		const reason = trained('d'.repeat(12)).find(({ kind }) => kind === KIND)!;
		expect(reasonSentence(reason, { when: () => 'Monday', units: 'kg' })).toBe('Ten check-ins, Monday.');
		const values = { name: 'Noor', coach: 'Runa' } as unknown as FieldValues;
		expect(draftFor(reason, DEFAULT_TONE, values)).toContain('That was the tenth day');
		const at = reason.since + HOUR;
		const answers = [{ at, reasons: [KIND], until: null }];
		expect(isAnswered(reason, answers, DEFAULT_HOUSE, at + 30 * 24 * HOUR)).toBe(true);
	});
});

it('a kind that is taken is not registered twice, and none is left behind', () => {
	expect(() => registerReason({ ...hands, kind: 'pain' })).toThrow(RangeError);
	expect(Object.keys(REASON_KINDS)).not.toContain('hands');
});
