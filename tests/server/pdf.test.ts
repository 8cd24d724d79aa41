import { describe, expect, it } from 'vitest';
import {
	resolvePlan,
	newRule,
	newBenchmark,
	planOfTemplate,
	planSheet,
	TEMPLATES,
	STARTERS,
	startersOf,
	type Plan
} from '$core/plan';
import { parseSessionText } from '$core/session';
import { planSheetPdf } from '$lib/server/edge/exports/pdf/plan-sheet-pdf';
import { PRACTICE } from '../support/practice';

/** Pages of a PDF: its page objects stand in it uncompressed. */
const pagesOf = (pdf: Uint8Array): number =>
	Buffer.from(pdf)
		.toString('latin1')
		.match(/\/Type \/Page\b/g)?.length ?? 0;

async function sheetOf(
	plan: Plan,
	names: readonly (keyof typeof STARTERS)[],
	rename = (name: string) => name
) {
	const sessions = names.map((name) => ({
		key: name,
		name: rename(name),
		body: parseSessionText(STARTERS[name].lines.join('\n'), PRACTICE).session
	}));
	const sheet = planSheet(
		resolvePlan(plan, sessions, PRACTICE),
		'2026-11-30',
		plan.days.map(() => null)
	);
	return planSheetPdf({
		name: rename('Hut weeks'),
		goal: 'Carry 20 kg up 400 m',
		startsOn: '2026-11-30',
		days: plan.days.length,
		budgetMinutes: 30,
		...sheet
	});
}

describe('the plan on paper', () => {
	it.each(TEMPLATES.map((shape) => [shape.key, shape] as const))('has two pages: %s', async (_, shape) => {
		const names = startersOf(shape);
		const pdf = await sheetOf(
			planOfTemplate(shape, Object.fromEntries(names.map((name) => [name, name]))),
			names
		);
		expect(Buffer.from(pdf.subarray(0, 5)).toString()).toBe('%PDF-');
		expect(pagesOf(pdf)).toBe(2);
	});

	it('has two pages with all that a plan may hold', async () => {
		const long = (name: string) => `${name} ${'of the high northern ridge '.repeat(4)}`.slice(0, 80);
		const names = Object.keys(STARTERS) as (keyof typeof STARTERS)[];
		const tests = Array.from({ length: 12 }, (_, i) =>
			newBenchmark(`t${i}`, long(`Test ${i}`).slice(0, 60), 'Push-up', 'most reps in a time', { seconds: 60 })
		);
		const plan: Plan = {
			days: Array.from({ length: 84 }, (_, i) => ({
				kind: 'test' as const,
				session: names[i % names.length] ?? null,
				effort: 9.5,
				tests: tests.slice(0, 6).map(({ id }) => id)
			})),
			tests,
			rules: Array.from({ length: 60 }, (_, i) =>
				newRule(`r${i}`, { session: names[i % names.length] ?? '' }, [{ kind: 'reps', reps: 1 }])
			),
			deload: { every: 4, keep: 0.6 },
			audience: { level: 'beginner', items: [], heaviestKg: null, conditions: [] }
		};
		for (const kind of ['test', 'train'] as const) {
			const days = plan.days.map((day) => ({ ...day, kind, tests: kind === 'test' ? day.tests : [] }));
			expect(pagesOf(await sheetOf({ ...plan, days }, names, long))).toBe(2);
		}
	});
});
