import { join } from 'node:path';
import { Piscina } from 'piscina';
import { Refusal } from '../../platform/errors';
import { pdfOf, type Paper } from './pdf';

/** Sets papers as PDF without holding up anybody else. */
export interface Press {
	/** @throws Refusal 503 when more is waiting than is taken */
	print(paper: Paper): Promise<Uint8Array<ArrayBuffer>>;
	close(): Promise<void>;
}

/** Papers set at a time, and papers that may wait for that. */
const THREADS = 2;
const QUEUE = 30;
/** A thread without work ends after this long, in milliseconds: it holds fonts that are seldom needed. */
const IDLE = 60_000;

/**
 * @param workers folder with the built `paper.js`; null sets papers in this thread, as tests and development do
 */
export function openPress(workers: string | null): Press {
	if (workers === null) return { print: pdfOf, close: () => Promise.resolve() };
	const pool = new Piscina<Paper, Uint8Array<ArrayBuffer>>({
		filename: join(workers, 'paper.js'),
		minThreads: 0,
		maxThreads: THREADS,
		maxQueue: QUEUE,
		idleTimeout: IDLE
	});
	return {
		async print(paper) {
			if (pool.queueSize >= QUEUE)
				throw new Refusal(503, 'Too many papers are being set just now. Try again in a minute.');
			return pool.run(paper);
		},
		close: () => pool.destroy()
	};
}
