import { Refusal } from '../../platform/errors';
import type { Done } from '../../platform/threads';
import { TASKS } from './tasks';

/** What the threads run: one piece of work in, what comes of it out. */
export default async function run({
	name,
	input
}: {
	name: keyof typeof TASKS;
	input: unknown;
}): Promise<Done<unknown>> {
	const task = TASKS[name] as (input: unknown) => unknown;
	try {
		return { output: await task(input) };
	} catch (cause) {
		if (!(cause instanceof Refusal)) throw cause;
		const { status, message, faults } = cause;
		return { refused: { status, message, faults } };
	}
}
