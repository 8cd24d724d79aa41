import { kgFrom, UNITS } from '$core/kit';
import type { LoggedSet } from '$core/day';

const text = (form: FormData, name: string): string | null => {
	const value = form.get(name);
	return typeof value === 'string' && value.trim() !== '' ? value : null;
};

/** `12,5` is a number as well where a comma is on the keyboard. */
const figure = (value: string): number => Number(value.trim().replace(',', '.'));

/** The load of an exercise, typed in kilograms as `kg.<block>.<part>` or in pounds as `lb.<block>.<part>`; null: none. */
function kgOf(form: FormData, at: string): number | null {
	for (const unit of UNITS) {
		const typed = text(form, `${unit}.${at}`);
		if (typed !== null) return unit === 'kg' ? figure(typed) : kgFrom(figure(typed), unit);
	}
	return null;
}

/** Fields `set.<block>.<part>.<set>` with the amount, and the load of an exercise. */
function setsOf(form: FormData): LoggedSet[] {
	const sets: LoggedSet[] = [];
	for (const [name, value] of form) {
		const at = /^set\.(\d+)\.(\d+)\.(\d+)$/.exec(name);
		if (!at || typeof value !== 'string') continue;
		const [block, part, set] = [Number(at[1]), Number(at[2]), Number(at[3])];
		sets.push({
			block,
			part,
			set,
			amount: value.trim() === '' ? 0 : figure(value),
			kg: kgOf(form, `${block}.${part}`)
		});
	}
	return sets;
}

/** A check-in as the form sends it; what it means is for the schema to say. */
export function readCheckinForm(form: FormData, day: number) {
	const done = text(form, 'done');
	const sleep = text(form, 'sleepHours');
	return {
		id: text(form, 'id'),
		day,
		versionId: text(form, 'versionId'),
		replaces: text(form, 'replaces'),
		done,
		effort: text(form, 'effort'),
		energy: text(form, 'energy'),
		sleepHours: sleep === null ? null : figure(sleep),
		hurts: text(form, 'hurts'),
		note: text(form, 'note'),
		sets: done === 'part' ? setsOf(form) : null
	};
}
