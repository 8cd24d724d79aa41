import { nameIndex, type Exercise } from '../../exercise';
import type { Practice } from '../../practice';
import { DROP, quote, type Asked, type Offer } from './asked';
import type { Run } from './deal';

/** What becomes of a name that nobody knows: it is asked about at once, or kept for whoever asks later. */
export type UnknownNames = 'ask' | 'keep';

/** An exercise under the name that it has, or under the one that was typed. */
export interface NamedExercise {
	name: string;
	known: Exercise | null;
}
/** A line that is being read. */
export interface Reading {
	line: string;
	practice: Practice;
	unknown: UnknownNames;
	asked: Asked;
	/** What was assumed. */
	notes: string[];
}

/** The exercise that a run means; asks where it means none or several, and goes on with what is likely. */
export function exerciseOf(run: Run, { line, practice, unknown, asked, notes }: Reading): NamedExercise {
	const names = nameIndex(practice.library);
	const from = run[0]?.from ?? 0;
	const to = run.at(-1)?.to ?? 0;
	const text = line.slice(from, to);
	const quoted = run.find((phrase) => phrase.kind === 'quoted');
	const name = run.find((phrase) => phrase.kind === 'name');
	const extra = run.filter(({ kind }) => kind === 'word');
	if (!quoted && (!name || extra.length > 0) && unknown === 'keep') return { name: text, known: null };
	if (!quoted && !name && /^drop/i.test(text)) {
		asked.at(from, to, DROP);
		return { name: text, known: null };
	}
	const own: Offer = { label: `Use “${text}” as an exercise of my own`, text: `"${text}"` };
	if (!quoted && !name) {
		const near = names.near(text).map((offer): Offer => ({ label: offer, text: offer }));
		const hint = near.length > 0 ? `; did you mean ${near.map(({ label }) => label).join(', ')}?` : '';
		asked.at(from, to, `${quote(text)} is not an exercise of your library${hint}`, [...near, own]);
		return { name: text, known: null };
	}
	if (extra.length > 0) {
		const words = extra.map(({ text: word }) => word).join(' ');
		const typed = (quoted ?? name)?.text ?? '';
		const bare = names.meanings(typed)[0]?.name ?? typed;
		const near = names.near(text).filter((offer) => offer.toLowerCase() !== bare.toLowerCase());
		// What is offered stands in place of the whole name.
		const offers = [bare, ...near].map((offer): Offer => ({ label: offer, text: offer })).concat(own);
		asked.at(from, to, `${quote(words)} is not understood beside ${bare}`, offers);
		return { name: bare, known: names.meanings(bare)[0] ?? null };
	}
	if (quoted) {
		const known = practice.library.find(quoted.name);
		if (!known) notes.push(`${quote(quoted.name)} is taken as an exercise of your own.`);
		return { name: known?.name ?? quoted.name, known };
	}
	const meanings = names.meanings(text);
	const [known = null] = meanings;
	if (meanings.length > 1) {
		const names = meanings.map((exercise) => exercise.name);
		asked.at(
			from,
			to,
			`${quote(text)} may be ${names.slice(0, -1).join(', ')} or ${names.at(-1)}: which one?`,
			names.map((offer) => ({ label: offer, text: offer }))
		);
	}
	return { name: known?.name ?? text, known };
}
