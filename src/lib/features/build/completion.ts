/** The name that is being typed at a place of a line, and where it stands. */
export interface Fragment {
	from: number;
	to: number;
	name: string;
}

/** Signs between which one exercise stands. */
const ENDS = /[+/:,@\n]/;
/** What comes before a name: how much, per side, a partial rule; and the words that open a line. */
const LEAD =
	/^\s*(?:\d+(?:\.\d+)?\s*(?:x|×|sets? of)\s*)?(?:-?\d+(?:\.\d+)?\s*(?:reps?|x|seconds?|secs?|s|minutes?|min|met(?:re|er)s?|m)?(?=\s)\s*)?(?:or\s+\d+(?:\.\d+)?\s*(?:reps?|s|m|min)?(?=\s)\s*)?(?:1¼\s*|1½\s*|(?:lower|upper) half(?: reps?)?\s*)?(?:(?:per|each|a|every)\s+side\s*)?/i;

/** The part of a name before the caret; null where no name stands. */
export function fragmentAt(line: string, caret: number): Fragment | null {
	let start = caret;
	while (start > 0 && !ENDS.test(line[start - 1] ?? '')) start--;
	// After @ comes a load; after a comma the numbers of the block, or the next exercise with its own first.
	if (line[start - 1] === '@') return null;
	const piece = line.slice(start, caret);
	const lead = LEAD.exec(piece)?.[0].length ?? 0;
	if (line[start - 1] === ',' && !/\d/.test(piece.slice(0, lead))) return null;
	const name = piece.slice(lead);
	if (!/^[a-z]/i.test(name) || /\d/.test(name)) return null;
	return { from: start + lead, to: caret, name: name.trim() };
}

/** The line with a name in place of what was typed of it, and where typing goes on. */
export function completed(line: string, fragment: Fragment, name: string): { text: string; caret: number } {
	const rest = line.slice(fragment.to).replace(/^[^\s+/:,@]*/, '');
	const text = `${line.slice(0, fragment.from)}${name}${rest.startsWith(' ') || rest === '' ? rest : ` ${rest}`}`;
	return { text: rest === '' ? `${text} ` : text, caret: fragment.from + name.length + 1 };
}
