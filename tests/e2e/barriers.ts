/** Barriers that axe-core finds on a page, by the rules of WCAG 2.1 A and AA. */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { expect, type Page } from '@playwright/test';
import type axeCore from 'axe-core';

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');
/** In a page that has taken the program. */
declare const axe: typeof axeCore;

type Rules = Pick<axeCore.RunOptions, 'runOnly' | 'rules'>;
const CONTRAST = ['color-contrast', 'link-in-text-block'];
const contrasts: Rules = { runOnly: CONTRAST };
const allElse: Rules = {
	runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa'],
	rules: Object.fromEntries(CONTRAST.map((rule) => [rule, { enabled: false }]))
};

/** Runs in a page: what axe-core finds there, each with where. */
const barriersIn = async (rules: Rules): Promise<string[]> => {
	const { violations } = await axe.run({ ...rules, resultTypes: ['violations'] });
	return violations.map(
		({ id, nodes }) => `${id} ${nodes.map(({ target }) => target.join(' ')).join(' | ')}`
	);
};

/**
 * Runs in a page: hides what has no colours of its own to judge, as it has no text, or looks as what stands before it under
 * the same parent, down to classes, styles, states and the colours and sizes that come of them. Nothing moves by it.
 * Contrasts are most of what a page costs.
 */
const hideRepeated = (): void => {
	/** What tells two of a kind apart and is not seen in their colours. */
	const content =
		/^(?:id|href|for|name|value|title|alt|src|action|datetime|tabindex|aria-(?:label|labelledby|describedby|controls|rowindex|colindex|posinset))$/;
	const place = /(?:transform|translate|top|left|width|height|grid-row|grid-column)[^;]*;?/g;
	const hasText = (element: Element) =>
		element.textContent.trim() !== '' ||
		element.matches('input, select, textarea, :has(input, select, textarea)');
	const looks = new Map<Element, number>();
	const known = new Map<string, number>();
	const lookOf = (element: Element): number => {
		const attributes = [...element.attributes]
			.filter(({ name }) => !content.test(name))
			.map(({ name, value }) => `${name}=${name === 'style' ? value.replace(place, '') : value}`);
		const { color, backgroundColor, backgroundImage, opacity, fontSize, fontWeight } =
			getComputedStyle(element);
		const seen = [color, backgroundColor, backgroundImage, opacity, fontSize, fontWeight].join(' ');
		const parts = [...element.children].map(lookOf).join(',');
		const look = `${element.localName} ${attributes.join(' ')} ${seen}>${parts}`;
		const number = known.get(look) ?? known.size;
		known.set(look, number);
		looks.set(element, number);
		return number;
	};
	const hideBelow = (parent: Element): void => {
		const seen = new Set<number | undefined>();
		for (const child of parent.children) {
			const look = looks.get(child);
			if (hasText(child) && !seen.has(look)) hideBelow(child);
			else if (child instanceof HTMLElement || child instanceof SVGElement) child.style.visibility = 'hidden';
			seen.add(look);
		}
	};
	lookOf(document.body);
	hideBelow(document.body);
};

/** Runs in a page: shows again what was hidden. */
const showAll = (): void => {
	for (const one of document.querySelectorAll<HTMLElement | SVGElement>('[style*="visibility"]'))
		one.style.removeProperty('visibility');
};

/**
 * No barrier in a page, in both themes. These differ in colours alone: both are judged by their contrasts, the light one by
 * all the rest as well. The page takes the program once, and is left light and as it was.
 */
export async function noBarriers(page: Page, name: string): Promise<void> {
	if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(AXE);
	const found: string[] = [];
	const judge = async (theme: string, rules: Rules) => {
		for (const barrier of await page.evaluate(barriersIn, rules)) found.push(`${name}, ${theme}: ${barrier}`);
	};
	for (const theme of ['dark', 'light'] as const) {
		// Without motion a page has its new colours at once.
		await page.emulateMedia({ colorScheme: theme, reducedMotion: 'reduce' });
		await page.evaluate(hideRepeated);
		await judge(theme, contrasts);
		await page.evaluate(showAll);
	}
	await judge('light', allElse);
	expect(found).toEqual([]);
}
