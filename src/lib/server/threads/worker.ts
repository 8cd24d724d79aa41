import { Refusal } from '../platform/errors';
import { TASKS, type TaskInput, type TaskName, type TaskOutput } from './tasks';

/** What a thread answers: a refusal crosses over as what it says, since errors lose their class on the way. */
export type Done<Output> = { output: Output } | { refused: Pick<Refusal, 'status' | 'message' | 'faults'> };

/** What the threads run: one piece of work in, what comes of it out. */
export default async function run<Name extends TaskName>({
	name,
	input
}: {
	name: Name;
	input: TaskInput<Name>;
}): Promise<Done<TaskOutput<Name>>> {
	const task = TASKS[name] as (input: TaskInput<Name>) => TaskOutput<Name> | Promise<TaskOutput<Name>>;
	try {
		return { output: await task(input) };
	} catch (cause) {
		if (!(cause instanceof Refusal)) throw cause;
		const { status, message, faults } = cause;
		return { refused: { status, message, faults } };
	}
}
