import type { Form } from './forms';

/** Seconds that a session should take, and whether coming close to their middle matters more than small changes. */
export interface Aim {
	low: number;
	high: number;
	closest: boolean;
}

export interface Way {
	seconds: number;
	distance: number;
	forms: Form[];
}

/**
 * The nearest choice of forms whose length lies within [low, high], by dynamic programming over the blocks, second
 * by second. Lengths from which the blocks to come cannot reach the goal any more are left out at once.
 */
export function nearestWay(
	forms: Form[][],
	times: number[],
	rest: number,
	{ low, high, closest }: Aim
): Way | null {
	const adds = forms.map((own, b) => own.map((form) => Math.round(form.seconds * (times[b] ?? 1))));
	/** The least and the most that the blocks from `b` on can take. */
	const after = [{ least: 0, most: 0 }];
	for (const own of [...adds].reverse()) {
		const [next] = after;
		after.unshift({
			least: Math.min(...own) + (next?.least ?? 0),
			most: Math.max(...own) + (next?.most ?? 0)
		});
	}
	const size = Math.floor(high) + 1;
	let distance = new Float64Array(size).fill(Infinity);
	if (Math.round(rest) >= size) return null;
	distance[Math.round(rest)] = 0;
	const chosen: Int32Array[] = [];
	forms.forEach((own, b) => {
		const next = new Float64Array(size).fill(Infinity);
		const choice = new Int32Array(size).fill(-1);
		const { least, most } = after[b + 1] ?? { least: 0, most: 0 };
		own.forEach((form, f) => {
			const add = adds[b]?.[f] ?? 0;
			const from = Math.max(0, Math.ceil(low - most) - add);
			const to = Math.min(size - 1, Math.floor(high - least)) - add;
			for (let s = from; s <= to; s++) {
				const total = (distance[s] ?? Infinity) + form.distance;
				if (total >= (next[s + add] ?? 0)) continue;
				next[s + add] = total;
				choice[s + add] = f;
			}
		});
		distance = next;
		chosen.push(choice);
	});
	const goal = (low + high) / 2;
	let best = -1;
	// Of two equally near ones the one that keeps to the budget.
	const rank = (s: number) => {
		const own = distance[s] ?? Infinity;
		return closest && own < Infinity ? Math.abs(s - goal) : own + (s > goal ? 0.05 : 0);
	};
	for (let s = Math.max(0, Math.ceil(low)); s < size; s++)
		if (rank(s) < (best < 0 ? Infinity : rank(best))) best = s;
	if (best < 0) return null;
	const way: Form[] = [];
	for (let b = forms.length - 1, s = best; b >= 0; b--) {
		const f = chosen[b]?.[s] ?? -1;
		const form = forms[b]?.[f];
		if (!form) return null;
		way.unshift(form);
		s -= adds[b]?.[f] ?? 0;
	}
	return { seconds: best, distance: rank(best), forms: way };
}
