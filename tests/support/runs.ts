import fc from 'fast-check';

/** Set by the configuration with which mutants are tested: each law is then tried on few cases, always the same. */
const FEW = process.env.FEW_RUNS === '1';

if (FEW) fc.configureGlobal({ numRuns: 10, seed: 20260101 });

/** How many cases a law is tried on when it needs more, or can bear fewer, than the usual hundred. */
export const runs = (usual: number): number => (FEW ? Math.ceil(usual / 10) : usual);
