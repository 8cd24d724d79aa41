/** Right values made up from the schemas of the application, so that what they guard is reached too. */
import { isSchema, reach, type AnySchema, type SchemaObjectDescription } from 'yup';
import * as announcement from '$contracts/announcement';
import * as ask from '$contracts/ask';
import * as body from '$contracts/body';
import * as challenge from '$contracts/challenge';
import * as checkIn from '$contracts/check-in';
import * as coach from '$contracts/coach';
import * as daySpan from '$contracts/day-span';
import * as daysOff from '$contracts/days-off';
import * as excuse from '$contracts/excuse';
import * as exercise from '$contracts/exercise';
import * as house from '$contracts/house';
import * as incident from '$contracts/incident';
import * as intake from '$contracts/intake';
import * as join from '$contracts/join';
import * as live from '$contracts/live';
import * as message from '$contracts/message';
import * as override from '$contracts/override';
import * as ownPause from '$contracts/own-pause';
import * as person from '$contracts/person';
import * as plan from '$contracts/plan';
import * as post from '$contracts/post';
import * as reaches from '$contracts/reach';
import * as recorded from '$contracts/recorded';
import * as reminders from '$contracts/reminders';
import * as session from '$contracts/session';
import * as shelf from '$contracts/shelf';
import * as teams from '$contracts/teams';

/** Whether something is a schema with all that one has. */
const isWhole = (of: unknown): of is AnySchema => isSchema(of);

/** Every schema of an object that a form or a program sends, by its name. */
export const SCHEMAS: ReadonlyMap<string, AnySchema> = new Map(
	[
		announcement,
		ask,
		body,
		challenge,
		checkIn,
		coach,
		daySpan,
		daysOff,
		excuse,
		exercise,
		house,
		incident,
		intake,
		join,
		live,
		message,
		override,
		ownPause,
		person,
		plan,
		post,
		reaches,
		recorded,
		reminders,
		session,
		shelf,
		teams
	].flatMap((module) =>
		Object.entries(module as Record<string, unknown>).filter(
			(entry): entry is [string, AnySchema] => isWhole(entry[1]) && entry[1].type === 'object'
		)
	)
);

export const fieldsOf = (schema: AnySchema): string[] =>
	Object.keys((schema.describe() as SchemaObjectDescription).fields ?? {});

/** Chance, and what is tried in a field. */
export interface Source {
	chance: () => number;
	pick: <T>(list: readonly T[]) => T;
	/** Texts that are right somewhere. */
	texts: readonly string[];
}

/** What a field takes of all that is tried, by its schema: looked for once. */
const taken = new WeakMap<AnySchema, readonly unknown[]>();

function candidates(schema: AnySchema, { texts }: Source): readonly unknown[] {
	const known = taken.get(schema);
	if (known) return known;
	const description = schema.describe();
	const all: unknown[] = [
		...(description.oneOf ?? []),
		...texts,
		...[0, 1, 2, 3, 5, 7, 8, 10, 20, 30, 42, 60, 80, 300, 1.5],
		true,
		false,
		null,
		undefined
	];
	const found = all.filter((value) => {
		try {
			return schema.isValidSync(value);
		} catch {
			return false;
		}
	});
	taken.set(schema, found);
	return found;
}

/** A value that a schema takes, as far as chance finds one; what depends on other fields may still be wrong. */
export function madeFrom(schema: AnySchema, source: Source, depth = 0): unknown {
	const { chance, pick } = source;
	if (schema.type === 'object' && depth < 6) {
		const names = fieldsOf(schema);
		if (names.length > 0)
			return Object.fromEntries(
				names.map((name) => {
					const field = reach(schema, name);
					return [name, isWhole(field) ? madeFrom(field, source, depth + 1) : null];
				})
			);
	}
	if (schema.type === 'array' && depth < 6) {
		const { innerType } = schema as unknown as { innerType?: unknown };
		if (isWhole(innerType))
			return Array.from({ length: Math.floor(chance() * 3) }, () => madeFrom(innerType, source, depth + 1));
	}
	const found = candidates(schema, source);
	return found.length > 0 ? pick(found) : pick(source.texts);
}
