import type { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { Refusal } from '../../platform/errors';

/** Fewer guesses than 10⁸ are a password that is refused: zxcvbn's score 3 of 4, “safely unguessable”, begins there. */
const LOWEST_SCORE = 3;

/** A password that somebody would like, and what is known of them. */
export interface NewPassword {
	password: string;
	/** The owner’s name and address. */
	about: readonly string[];
}

let judge: Promise<ZxcvbnFactory> | null = null;

/** Its lists of words take a moment and several megabytes: they are read when the first password is judged. */
async function readJudge(): Promise<ZxcvbnFactory> {
	const [{ ZxcvbnFactory }, common, english] = await Promise.all([
		import('@zxcvbn-ts/core'),
		import('@zxcvbn-ts/language-common'),
		import('@zxcvbn-ts/language-en')
	]);
	return new ZxcvbnFactory({
		dictionary: { ...common.dictionary, ...english.dictionary },
		graphs: common.adjacencyGraphs,
		translations: english.translations
	});
}

/**
 * Refuses a password that somebody would guess: one of the known ones, or made of what is known of its owner.
 * May take a second of computing for a long one: not for the thread that answers requests.
 * @throws Refusal 400 with the reason, at the field `password`
 */
export async function refuseWeak({ password, about }: NewPassword): Promise<void> {
	judge ??= readJudge();
	const apart = /[^\p{L}\p{N}]+/u;
	const known = about
		.flatMap((text) => [text, text.split(apart).join(''), ...text.split(apart)])
		.filter(Boolean);
	const { score, feedback } = (await judge).check(password, ['cadrex', ...known]);
	if (score >= LOWEST_SCORE) return;
	const reason = feedback.warning ?? 'it is made of words and patterns that are tried first.';
	const message = `This password would be guessed soon: ${reason.charAt(0).toLowerCase()}${reason.slice(1).replace(/\.$/, '')}. Four words that have nothing to do with each other are better.`;
	throw new Refusal(400, message, [{ field: 'password', message }]);
}
