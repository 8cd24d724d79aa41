// How a large group is taken in and looked at, measured in the browser.
import { asCoach, at } from './bench-browser.mjs';

const KITS = [
	'mat; chair',
	'light band; mat',
	'medium band; mat',
	'pair of dumbbells 4 kg; mat',
	'pair of dumbbells 8 kg; mat',
	'pair of dumbbells 12 kg; step',
	'adjustable dumbbells 2-24 kg; bench',
	'kettlebell 12 kg; mat',
	'none'
];
const LEVELS = ['beginner', 'some experience', 'trained'];

/**
 * A list of people as a spreadsheet would have it, with a column that nobody needs.
 * @param {number} count
 * @param {string} name
 */
function list(count, name) {
	const zones = Intl.supportedValuesOf('timeZone');
	const lines = Array.from({ length: count }, (_, i) =>
		[
			`Person ${i}`,
			`${name}${i}@example.org`,
			zones[(i * 7) % zones.length],
			LEVELS[i % 3],
			`"${KITS[i % KITS.length]}"`,
			'red'
		].join(',')
	);
	return ['Name,Email,Time zone,Level,Equipment,Shirt', ...lines].join('\n');
}

/** Twenty exercises, a block each. */
const TWENTY = [
	'squat',
	'push-up',
	'one-arm row @ 12 kg',
	'goblet squat @ 12 kg',
	'plank',
	'glute bridge',
	'curl @ 8 kg',
	'overhead press @ 8 kg',
	'split squat',
	'swing @ 12 kg',
	'bird dog',
	'step-up',
	'wall sit',
	'reverse lunge',
	'floor press @ 12 kg',
	'calf raise',
	'dead bug',
	'band row',
	'march',
	'superman'
].map((exercise) => (/plank|sit/.test(exercise) ? `2 x 30 s ${exercise}` : `2 x 8 ${exercise}`));

/**
 * @param {string} base
 * @returns {Promise<{ enrol: number, open: number, matrix: number, frame: number, slow: number, columns: number, desk: number, deskFirst: number }>}
 *   milliseconds from the click to a thousand links, to what the versions of three hundred people are, from there to their matrix, of a frame while that is scrolled, and
 *   to the first paint of the desk of a group of three hundred: the median, and the first time
 */
export async function people(base) {
	return asCoach(
		base,
		{ width: 1280, height: 800 },
		async ({ page, settled, makeChallenge, withoutQuestions }) => {
			/**
			 * @param {string} path
			 * @param {number} count
			 * @param {string} name
			 */
			const enrol = async (path, count, name) => {
				await page.goto(`${base}${path}/people/import`);
				await settled();
				await page.getByLabel('Paste the list').fill(list(count, name));
				await page.getByRole('button', { name: 'Preview' }).click();
				const button = page.getByRole('button', {
					name: new RegExp(`^Enrol ${count.toLocaleString('en')} people`)
				});
				await button.waitFor({ timeout: 60_000 });
				return button.evaluate(async (element) => {
					const began = performance.now();
					/** @type {HTMLElement} */ (element).click();
					await new Promise((done) => {
						const look = () =>
							document.querySelector('#links') ? setTimeout(done) : requestAnimationFrame(look);
						look();
					});
					return performance.now() - began;
				});
			};
			const thousand = await enrol(await makeChallenge('Thousand'), 1000, `k${Date.now()}-`);

			const path = await makeChallenge('Three hundred');
			await enrol(path, 300, `m${Date.now()}-`);
			await withoutQuestions(path);
			await page.goto(`${base}${path}/build/new`);
			await settled();
			await page.getByRole('button', { name: 'As text' }).click();
			await page.getByLabel('The session as text').fill(TWENTY.join('\n'));
			await page.getByRole('button', { name: 'Use this text' }).click();
			const name = `Twenty ${Date.now()}`;
			await page.getByLabel('Name of the session').fill(name);
			await page.getByRole('button', { name: /^Save/ }).click();
			await page.waitForURL(/build\/[0-9a-f-]{36}$/);
			await page.goto(`${base}${path}/plan`);
			await settled();
			await page.getByRole('gridcell').first().click();
			const select = page
				.locator('#chosen select')
				.filter({ has: page.locator('option', { hasText: /^Twenty/ }) });
			await select.first().selectOption({ label: name });
			await page.getByRole('button', { name: 'Save plan' }).click();
			await page.getByRole('button', { name: 'Save plan' }).and(page.locator(':disabled')).waitFor();

			/** @type {number[]} */
			const opens = [];
			/** @type {number[]} */
			const matrices = [];
			/**
			 * Milliseconds from a click to the frame that shows what it leads to.
			 * @param {import('@playwright/test').Locator} link
			 * @param {string} wanted selects it
			 */
			const untilShown = (link, wanted) =>
				link.evaluate(async (element, selector) => {
					const began = performance.now();
					const shown = new Promise((done) => {
						const look = () =>
							document.querySelectorAll(selector).length > 5
								? requestAnimationFrame(() => setTimeout(done))
								: requestAnimationFrame(look);
						look();
					});
					/** @type {HTMLElement} */ (element).click();
					await shown;
					return performance.now() - began;
				}, wanted);
			for (let i = 0; i < 6; i++) {
				await page.goto(`${base}${path}/people`);
				await settled();
				opens.push(
					await untilShown(
						page.getByRole('link', { name: 'Who gets what' }),
						'[aria-label^="Who gets what"] a'
					)
				);
				matrices.push(await untilShown(page.getByText('Person by person'), '[role=table] [role=rowheader]'));
			}
			const table = page.getByRole('table');
			const columns = (await table.getByRole('columnheader').count()) - 2;
			/** @type {number[]} */
			const frames = await table.evaluate(
				(box) =>
					new Promise((done) => {
						/** @type {number[]} */
						const found = [];
						let last = performance.now();
						let by = 60;
						const step = (/** @type {number} */ now) => {
							found.push(now - last);
							last = now;
							if (box.scrollTop + box.clientHeight >= box.scrollHeight - 1) by = -60;
							if (box.scrollTop <= 0) by = 60;
							box.scrollTop += by;
							if (found.length < 240) requestAnimationFrame(step);
							else done(found.slice(5).sort((a, b) => a - b));
						};
						requestAnimationFrame(step);
					})
			);
			for (const times of [opens, matrices]) times.sort((a, b) => a - b);

			// The desk of a group of three hundred, in the fourth of six weeks.
			await page.goto(`${base}/challenges`);
			await settled();
			const running = await page
				.getByRole('main')
				.getByRole('link', { name: 'Hut Season, six weeks' })
				.first()
				.getAttribute('href');
			const season = (running ?? '').replace(/\/[^/]*$/, '');
			await enrol(season, 300, `d${Date.now()}-`);
			/** @type {number[]} */
			const paints = [];
			for (let i = 0; i < 7; i++) {
				await page.goto(`${base}${season}/desk`);
				await settled();
				paints.push(
					await page.evaluate(
						() => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? NaN
					)
				);
			}
			// The first time after so many have come in, their days are worked out.
			const [first = NaN, ...later] = paints;
			later.sort((a, b) => a - b);
			return {
				desk: at(later, 0.5),
				deskFirst: first,
				enrol: thousand,
				open: at(opens, 0.5),
				matrix: at(matrices, 0.5),
				frame: at(frames, 0.5),
				slow: at(frames, 0.95),
				columns
			};
		}
	);
}
