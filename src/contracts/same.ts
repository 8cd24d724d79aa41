/**
 * `true` if two types are assignable to each other, else `false`: `Assert<Same<A, B>>` then does not compile.
 * The result is `false`, not `never`, because `never extends true` holds.
 */
export type Same<A, B> = [A] extends [B] ? ([B] extends [A] ? true : false) : false;
/** `true` if A is assignable to B, else `false`. */
export type Fits<A, B> = [A] extends [B] ? true : false;
/** Compiles for `true` alone. */
export type Assert<T extends true> = T;
