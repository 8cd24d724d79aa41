import { expectTypeOf, it } from 'vitest';
import type { Assert, Fits, Same } from './same';

interface Narrow {
	a: string;
}
interface Wide extends Narrow {
	b: number;
}

// Each line below is an error unless the guard above it refuses to compile: a guard that accepts everything fails `npm test`.
// @ts-expect-error keys that differ
export type KeysDiffer = Assert<Same<keyof Narrow, keyof Wide>>;
// @ts-expect-error Narrow lacks b
export type TooNarrow = Assert<Fits<Narrow, Wide>>;
// @ts-expect-error wider the other way round
export type WiderTheOther = Assert<Same<Wide, Narrow>>;
// @ts-expect-error unions that overlap in part
export type Overlap = Assert<Same<'a' | 'b', 'b' | 'c'>>;

export type SameKeys = Assert<Same<keyof Wide, 'a' | 'b'>>;
export type WideFits = Assert<Fits<Wide, Narrow>>;

it('guards give false where types differ', () => {
	expectTypeOf<Same<Narrow, Wide>>().toEqualTypeOf<false>();
	expectTypeOf<Fits<Narrow, Wide>>().toEqualTypeOf<false>();
	expectTypeOf<Fits<Wide, Narrow>>().toEqualTypeOf<true>();
});
