import type { Library } from '$core/exercise';
import {
	formatNamed,
	formatOf,
	saysHowMuch,
	startedAs,
	targetOf,
	type Block,
	type Field,
	type FormatName,
	type Part,
	type Role
} from '$core/session';

/** The numbers of a format that can be set in fields. */
export const fieldsOf = (block: Block): readonly Field<Block>[] => formatOf(block).fields;

/** A part as it starts out when an exercise is picked by name. */
export function freshPart(name: string, format: FormatName, library: Library, work = 30): Part {
	const known = library.find(name);
	const kind = formatNamed(format).timed || saysHowMuch(format) ? 'seconds' : (known?.countedIn ?? 'reps');
	const amount = { reps: 10, seconds: saysHowMuch(format) ? work : 30, metres: 40 }[kind];
	return {
		exercise: known?.name ?? name.trim(),
		target: targetOf(kind, amount),
		perSide: known?.perSide ?? false,
		tempo: null,
		kg: null
	};
}

/** A block with the usual numbers of its format. */
export function freshBlock(
	format: FormatName,
	role: Role,
	names: string[],
	library: Library
): Block | { fault: string } {
	const parts = names.map((name) => freshPart(name, format, library));
	const groups = formatNamed(format).picked === 'apart' ? parts.map((part) => [part]) : [parts];
	const read = startedAs(format, parts, groups, { library });
	return 'fault' in read ? read : ({ ...read, role } as Block);
}

/** `12:00` or `90`; null when it is neither. */
export function readClock(text: string): number | null {
	const found = /^\s*(?:(\d+):)?(\d+)\s*$/.exec(text);
	return found ? Number(found[1] ?? 0) * 60 + Number(found[2]) : null;
}

/** `3-1-1` or `3-1-1-0`; null for an empty field, a fault for anything else. */
export function readTempo(text: string): Part['tempo'] | 'fault' {
	if (!text.trim()) return null;
	const phases = text.split('-').map(Number);
	if (phases.length < 3 || phases.length > 4 || phases.some((phase) => Number.isNaN(phase))) return 'fault';
	return [phases[0] ?? 0, phases[1] ?? 0, phases[2] ?? 0, phases[3] ?? 0];
}
