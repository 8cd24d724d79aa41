import { distance } from 'fastest-levenshtein';

/** The choice closest to a word, or null when none is within a third of its letters. Ties go to the first. */
export function nearest(word: string, choices: readonly string[]): string | null {
	const wanted = word.toLowerCase().trim();
	const most = Math.max(1, wanted.length / 3);
	let best: { choice: string; far: number } | null = null;
	for (const choice of choices) {
		// No closer than their lengths are: a word of thousands of letters is compared with nothing.
		if (Math.abs(choice.length - wanted.length) > most) continue;
		const far = distance(wanted, choice.toLowerCase());
		if (!best || far < best.far) best = { choice, far };
	}
	return best && best.far <= most ? best.choice : null;
}
