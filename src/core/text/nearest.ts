/** Letters to change, add or drop to get from one word to the other (Levenshtein 1966). */
export function editDistance(a: string, b: string): number {
	let row = Array.from({ length: b.length + 1 }, (_, i) => i);
	for (let i = 1; i <= a.length; i++) {
		const next = [i];
		for (let j = 1; j <= b.length; j++) {
			const swap = (row[j - 1] ?? 0) + (a[i - 1] === b[j - 1] ? 0 : 1);
			next.push(Math.min(swap, (row[j] ?? 0) + 1, (next[j - 1] ?? 0) + 1));
		}
		row = next;
	}
	return row[b.length] ?? 0;
}

/** The choice closest to a word, or null when none is within a third of its letters. Ties go to the first. */
export function nearest(word: string, choices: readonly string[]): string | null {
	const wanted = word.toLowerCase().trim();
	let best: { choice: string; distance: number } | null = null;
	for (const choice of choices) {
		const distance = editDistance(wanted, choice.toLowerCase());
		if (!best || distance < best.distance) best = { choice, distance };
	}
	return best && best.distance <= Math.max(1, wanted.length / 3) ? best.choice : null;
}
