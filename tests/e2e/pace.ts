/** How long a form takes on a phone, by what it asks of the hand and the eye. */
import type { Page } from '@playwright/test';

/**
 * Seconds, from memory: Card, Moran and Newell 1980 (keystroke-level model): 1.1 to point, 0.28 to press; their 1.35 to make up
 * one's mind go with reading, which is counted for every word: Brysbaert 2019, 238 words a minute in silence. Palin et al. 2019:
 * 36 words a minute typed on a phone, five letters a word.
 */
const SECONDS = { tap: 1.1 + 0.28, letter: 60 / (36 * 5), word: 60 / 238 };

export interface Pace {
	taps: number;
	letters: number;
	words: number;
}

export const secondsOf = ({ taps, letters, words }: Pace): number =>
	taps * SECONDS.tap + letters * SECONDS.letter + words * SECONDS.word;

/** Counts taps, letters typed, and every word under each heading that is shown, until it is asked. */
export async function paceOf(page: Page): Promise<() => Promise<Pace>> {
	await page.evaluate(() => {
		const pace = { taps: 0, letters: 0, words: 0 };
		Object.assign(window, { pace });
		addEventListener('click', ({ isTrusted }) => (pace.taps += isTrusted ? 1 : 0), true);
		addEventListener(
			'input',
			({ target }) => {
				if (target instanceof HTMLInputElement && /^(text|number)$/.test(target.type))
					pace.letters += target.value.length;
				if (target instanceof HTMLSelectElement) pace.taps += 2;
			},
			true
		);
		let read = '';
		const look = () => {
			const title = document.querySelector('h1')?.textContent ?? '';
			if (title === read) return;
			read = title;
			pace.words += (document.querySelector('main')?.innerText.match(/\S+/g) ?? []).length;
		};
		new MutationObserver(look).observe(document.body, {
			subtree: true,
			childList: true,
			characterData: true
		});
		look();
	});
	return () =>
		page.evaluate(() => (window as Window & { pace?: Pace }).pace ?? { taps: 0, letters: 0, words: 0 });
}
