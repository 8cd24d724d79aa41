import type { Part } from './parts';

/** The kilograms of one weight: `12 kg`, or `8/12/16 kg` by level; null without any. */
export function kgText({ kg, kgByLevel }: Pick<Part, 'kg' | 'kgByLevel'>): string | null {
	if (kg === null) return null;
	return `${kgByLevel ? kgByLevel.join('/') : kg} kg`;
}

/** The kilograms that anybody may be asked for, of one weight; none for the body alone. */
export const loadsOf = ({ kg, kgByLevel }: Pick<Part, 'kg' | 'kgByLevel'>): readonly number[] =>
	kgByLevel ?? (kg === null ? [] : [kg]);

/** A part with each of its loads changed in the same way. */
export const withLoads = (part: Part, change: (kg: number) => number): Part => {
	if (part.kg === null) return part;
	const { kgByLevel } = part;
	return {
		...part,
		kg: change(part.kg),
		...(kgByLevel && { kgByLevel: [change(kgByLevel[0]), change(kgByLevel[1]), change(kgByLevel[2])] })
	};
};

/** What a part is loaded with: `12 kg`, `2 × 12 kg`, `red band`; null for the body alone. */
export function loadText(part: Pick<Part, 'kg' | 'kgByLevel' | 'weights' | 'resistance'>): string | null {
	const kg = kgText(part);
	if (kg !== null) return `${part.weights ? `${part.weights} × ` : ''}${kg}`;
	return part.resistance ?? null;
}
