/** Normal deviates of mean 0 and standard deviation 1 out of even ones (Box and Muller 1958). */
export function normal(random: () => number): () => number {
	let spare: number | null = null;
	return () => {
		if (spare !== null) {
			const value = spare;
			spare = null;
			return value;
		}
		// 1 − u lies in (0, 1], of which there is always a logarithm.
		const size = Math.sqrt(-2 * Math.log(1 - random()));
		const turn = 2 * Math.PI * random();
		spare = size * Math.sin(turn);
		return size * Math.cos(turn);
	};
}
