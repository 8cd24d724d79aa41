/** Letters of a name at most. */
const LONGEST = 80;

/** A name that is not taken: the one wished for, or that with a number behind it. */
export function freeName(wished: string, taken: (name: string) => boolean): string {
	for (let n = 1; ; n++) {
		const end = n === 1 ? '' : ` ${n}`;
		const name = `${wished.slice(0, LONGEST - end.length)}${end}`;
		if (!taken(name)) return name;
	}
}
