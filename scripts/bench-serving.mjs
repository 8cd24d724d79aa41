// How the running application answers, measured from outside.
import autocannon from 'autocannon';

/** @typedef {{ url: string, cookie?: string }} Request */

/** @param {Response} response */
const cookieOf = (response) => (response.headers.get('set-cookie') ?? '').split(';')[0] ?? '';

/**
 * Opens a personal link as a device that has never been here.
 * @param {string} link
 */
export const cookieOfLink = async (link) =>
	cookieOf(
		await fetch(link, {
			method: 'POST',
			redirect: 'manual',
			headers: {
				origin: new URL(link).origin,
				accept: 'text/html',
				'content-type': 'application/x-www-form-urlencoded'
			}
		})
	);

/**
 * @param {string} base
 * @returns {Promise<string>} the cookie of the demo's coach
 */
async function signIn(base) {
	const { email, password } = await (await fetch(`${base}/api/demo/sign-in`)).json();
	const answer = await fetch(`${base}/sign-in`, {
		method: 'POST',
		redirect: 'manual',
		headers: { origin: base },
		body: new URLSearchParams({ email, password })
	});
	return cookieOf(answer);
}

/**
 * Answers a second with four connections, as browsers ask: compressed.
 * @param {Request} request
 * @param {number} seconds
 */
async function rate({ url, cookie = '' }, seconds) {
	const done = await autocannon({
		url,
		connections: 4,
		duration: seconds,
		headers: { cookie, 'accept-encoding': 'gzip, br' }
	});
	if (done.non2xx > 0 || done.errors > 0) throw new Error(`${url}: ${done.non2xx} answers were not 200`);
	return done.requests.average;
}

/**
 * How many times as fast one is answered as another; measured in turn, so that both meet the same machine.
 * @param {Request} one
 * @param {Request} other
 * @returns {Promise<{ ratio: number, one: number, other: number }>} the medians of five rounds
 */
async function ratioOf(one, other) {
	await rate(one, 2);
	await rate(other, 2);
	const rounds = [];
	for (let i = 0; i < 5; i++) rounds.push({ one: await rate(one, 2), other: await rate(other, 2) });
	const middle = (/** @type {number[]} */ list) => [...list].sort((a, b) => a - b)[list.length >> 1] ?? NaN;
	return {
		ratio: middle(rounds.map((round) => round.one / round.other)),
		one: middle(rounds.map((round) => round.one)),
		other: middle(rounds.map((round) => round.other))
	};
}

/**
 * Enrols people in a challenge from a list, as a coach does.
 * @param {string} base
 * @param {string} coach
 * @param {number} count
 * @returns {Promise<string[]>} their personal links
 */
async function enrol(base, coach, count) {
	const list = await (await fetch(`${base}/challenges`, { headers: { cookie: coach } })).text();
	const challenge = /\/c\/([0-9a-f-]{36})[^<]*(?:<[^>]*>\s*)*Hut Season, six weeks/.exec(list)?.[1];
	if (!challenge) throw new Error('the demo has no challenge of six weeks');
	const zones = Intl.supportedValuesOf('timeZone');
	const rows = Array.from(
		{ length: count },
		(_, i) => `Bench ${i},bench${i}@example.org,${zones[(i * 7) % zones.length]},beginner`
	);
	const answer = await fetch(`${base}/c/${challenge}/people/import?/accept`, {
		method: 'POST',
		headers: { origin: base, cookie: coach, accept: 'text/html' },
		body: new URLSearchParams({ list: ['name,email,zone,level', ...rows].join('\n') })
	});
	const links = [...new Set((await answer.text()).match(/http:\/\/[^\s"<]*\/join\/[\w-]{43}/g) ?? [])];
	if (links.length !== count) throw new Error(`${links.length} of ${count} people were enrolled`);
	return links;
}

/**
 * Everybody opens their page, spread evenly over a time; nobody waits for the one before.
 * @param {string} base
 * @param {string[]} cookies one a person
 * @param {number} seconds
 * @returns {Promise<number[]>} milliseconds to the last byte, in order
 */
async function opens(base, cookies, seconds) {
	const took = await Promise.all(
		cookies.map(async (cookie, i) => {
			await new Promise((resolve) => setTimeout(resolve, (i / cookies.length) * seconds * 1000));
			const began = performance.now();
			const answer = await fetch(`${base}/me`, { headers: { cookie } });
			await answer.arrayBuffer();
			if (answer.status !== 200) throw new Error(`a page was answered with ${answer.status}`);
			return performance.now() - began;
		})
	);
	return took.sort((a, b) => a - b);
}

/**
 * How long others wait while a packet of a whole challenge is set as PDF.
 * @param {string} base
 * @param {string} cookie of somebody with a packet
 */
async function whilePrinting(base, cookie) {
	let printing = true;
	const waits = [];
	const paper = fetch(`${base}/me/packet.pdf`, { headers: { cookie } }).then(async (answer) => {
		await answer.arrayBuffer();
		if (answer.status !== 200) throw new Error(`the packet was answered with ${answer.status}`);
		printing = false;
	});
	while (printing) {
		const began = performance.now();
		await (await fetch(`${base}/healthz`)).text();
		waits.push(performance.now() - began);
	}
	await paper;
	return waits.sort((a, b) => a - b);
}

/** @param {string} base of a demo that nobody else uses */
export async function serving(base) {
	const { links } = await (await fetch(`${base}/api/demo/sign-in`)).json();
	const person = await cookieOfLink(`${base}/join/${links['Noor Bastani']}`);
	const coach = await signIn(base);
	const page = await ratioOf({ url: `${base}/me`, cookie: person }, { url: `${base}/sign-in` });
	const known = await ratioOf({ url: `${base}/healthz` }, { url: `${base}/healthz`, cookie: coach });
	await whilePrinting(base, person);
	const waits = [];
	for (let i = 0; i < 5; i++) waits.push(...(await whilePrinting(base, person)));
	const cookies = [];
	for (const link of await enrol(base, coach, 1000)) cookies.push(await cookieOfLink(link));
	return { page, known, waits: waits.sort((a, b) => a - b), opens: await opens(base, cookies, 60) };
}
