// Loaded into a server that is being soaked: writes down how late its event loop is and what it holds, once a second.
import { appendFileSync } from 'node:fs';
import { isMainThread } from 'node:worker_threads';

const EVERY = 20;
const file = process.env.LOOP_PROBE;

if (isMainThread && file)
	// What a start takes is measured elsewhere.
	process.once(/** @type {any} */ ('cadrex:listening'), () => {
		/** @type {number[]} */
		let late = [];
		let last = performance.now();
		setInterval(() => {
			const now = performance.now();
			late.push(Math.max(0, Math.round(now - last - EVERY)));
			last = now;
		}, EVERY).unref();
		setInterval(() => {
			const { rss, heapUsed } = process.memoryUsage();
			appendFileSync(file, `${JSON.stringify({ pid: process.pid, late, rss, heapUsed })}\n`);
			late = [];
		}, 1000).unref();
	});
