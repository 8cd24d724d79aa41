/** Two types are the same when each fits where the other is asked for; `Assert<Same<A, B>>` then compiles. */
export type Same<A, B> = [A] extends [B] ? ([B] extends [A] ? true : never) : never;
/** Whether something of A can be handed on as B. */
export type Fits<A, B> = [A] extends [B] ? true : never;
export type Assert<T extends true> = T;
