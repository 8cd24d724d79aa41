/**
 * For whatever opens the embedded database: a setting of the JavaScript engine, given before it does.
 *
 * The database is WebAssembly. A function of it is compiled for speed once it has worked for some time, by default so early that
 * a start spends a sixth of its time on it. What is busy is compiled for speed within its first seconds all the same.
 */
export const ENGINE_SETTING = '--wasm-tiering-budget=20000000';
