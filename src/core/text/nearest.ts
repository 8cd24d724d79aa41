import { distance } from 'fastest-levenshtein';

/** The choice closest to a word, or null when none is within a third of its letters. Ties go to the first. */
export function nearest(word: string, choices: readonly string[]): string | null {
	const wanted = word.toLowerCase().trim();
	let best: { choice: string; far: number } | null = null;
	for (const choice of choices) {
		const far = distance(wanted, choice.toLowerCase());
		if (!best || far < best.far) best = { choice, far };
	}
	return best && best.far <= Math.max(1, wanted.length / 3) ? best.choice : null;
}
