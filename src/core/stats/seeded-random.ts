/** Numbers in 0…1 that look like chance and are the same for the same seed (mulberry32 over a string hash). */
export function seededRandom(seed: string): () => number {
	let state = 2166136261;
	for (const letter of seed) state = Math.imul(state ^ letter.charCodeAt(0), 16777619);
	return () => {
		state = (state + 0x6d2b79f5) | 0;
		let t = Math.imul(state ^ (state >>> 15), 1 | state);
		t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
		return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
	};
}
