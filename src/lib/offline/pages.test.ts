import { describe, expect, it } from 'vitest';
import { isKept, isRefreshed, isWhole, keptAs, keptPages, linkedIn, mayReload } from './pages';

describe('pages on a device', () => {
	it('are those that somebody needs without a connection', () => {
		for (const path of [
			'/me',
			'/me/day/3',
			'/me/day/24/run',
			'/me/day/24/check-in',
			'/me/__data.json',
			'/me/day/3/run/__data.json',
			'/me/shelf'
		])
			expect([path, isKept(path)]).toEqual([path, true]);
		for (const path of [
			'/me/data',
			'/me/data.json',
			'/c/1/roll',
			'/api/me/checkins',
			'/',
			'/me/day/x/run',
			'/sign-in'
		])
			expect([path, isKept(path)]).toEqual([path, false]);
	});
	it('are the questions as well, but not with what was answered', () => {
		expect([isKept('/me/intake'), isRefreshed('/me/intake')]).toEqual([true, false]);
		expect([isKept('/me/intake/answers'), isRefreshed('/me/day/3')]).toEqual([false, true]);
	});
	it('are kept under their path alone', () => {
		expect(keptAs(new URL('https://cadrex.example/me/day/3/check-in?run=yes'))).toBe(
			'https://cadrex.example/me/day/3/check-in'
		);
	});
	it('are others where a session is done once more', () => {
		const at = (path: string) => keptAs(new URL(`https://cadrex.example/me/day/3/${path}`)).slice(29);
		expect(['check-in?run=again', 'run?again=yes', 'run?speed=20'].map(at)).toEqual([
			'/3/check-in?again',
			'/3/run?again',
			'/3/run'
		]);
	});
	it('are kept only whole', () => {
		const data = (query: string) => isWhole(new URL(`https://cadrex.example/me/__data.json${query}`));
		expect([data(''), data('?x-sveltekit-invalidated=111'), data('?x-sveltekit-invalidated=101')]).toEqual([
			true,
			true,
			false
		]);
	});
	it('come with all that they are made of, of this origin', () => {
		const html =
			'<link href="../../../_app/a.css"><script src="/x.js"></script><a href="https://elsewhere.example/y.js">';
		const script = 'Promise.all([import("../../../_app/start.js")])';
		const header = '<../../../_app/b.js>; rel="modulepreload"; nopush, <https://elsewhere.example/z.js>';
		expect(linkedIn(html + script, header, 'https://cadrex.example/me/day/3/run')).toEqual([
			'/_app/a.css',
			'/x.js',
			'/_app/start.js',
			'/_app/b.js'
		]);
		expect(linkedIn('<a href="https://[">', null, 'https://cadrex.example/me')).toEqual([]);
	});
});

describe('the pages that can be opened without a connection', () => {
	it('have names, today first, without data and what is no page of a person', () => {
		const at = (path: string) => `https://hut.example${path}`;
		expect(
			keptPages(
				[
					'/me/stop',
					'/me/day/24/run',
					'/me',
					'/me/__data.json',
					'/me/owner',
					'/me/day/23/check-in',
					'/me/day/24/run?again'
				].map(at)
			)
		).toEqual([
			{ path: '/me', name: 'Today' },
			{ path: '/me/day/24/run', name: 'Session of day 24' },
			{ path: '/me/day/23/check-in', name: 'Check-in for day 23' },
			{ path: '/me/stop', name: 'I had to stop' }
		]);
	});
});

it('a page reloads itself once within thirty seconds, not in a loop', () => {
	const kept = new Map<string, string>();
	const storage = {
		getItem: (key: string) => kept.get(key) ?? null,
		setItem: (key: string, value: string) => void kept.set(key, value)
	};
	expect([0, 1000, 29_000, 31_000, 32_000].map((now) => mayReload(storage, now))).toEqual([
		true,
		false,
		false,
		true,
		false
	]);
});
