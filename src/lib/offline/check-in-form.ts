import { areaText } from '$core/health';
import { kgTyped, UNITS } from '$core/kit';
import type { LoggedSet } from '$core/day';

const text = (form: FormData, name: string): string | null => {
	const value = form.get(name);
	return typeof value === 'string' && value.trim() !== '' ? value : null;
};

/** `12,5` is a number as well where a comma is on the keyboard. */
const figure = (value: string): number => Number(value.trim().replace(',', '.'));

/**
 * The load of an exercise, typed in kilograms as `kg.<block>.<part>` or in pounds as `lb.<block>.<part>`, beside
 * `read.<block>.<part>`, the kilograms that stood there before; null: none.
 */
function kgOf(form: FormData, at: string): number | null {
	for (const unit of UNITS) {
		const typed = text(form, `${unit}.${at}`);
		const read = text(form, `read.${at}`);
		if (typed !== null) return kgTyped(figure(typed), unit, read === null ? null : figure(read));
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

/** Fields `beyond.<i>` with an exercise, and how much of it in `much.beyond.<i>`; a row with nothing in it is none. */
function beyondOf(form: FormData) {
	return [...form.keys()]
		.filter((name) => /^beyond\.\d+$/.test(name))
		.flatMap((at) => {
			const [exercise, much, kg] = [text(form, at), text(form, `much.${at}`), kgOf(form, at)];
			if (exercise === null && much === null && kg === null) return [];
			return [
				{ exercise: exercise ?? '', amount: figure(much ?? ''), unit: text(form, `unit.${at}`) ?? '', kg }
			];
		});
}

/** Fields `sore.<part>` with how sore it is, and the rest of what is asked of how somebody is. */
function wellOf(form: FormData) {
	const water = text(form, 'waterLitres');
	const fuel = text(form, 'fuelMet');
	const area = text(form, 'painArea');
	const kind = text(form, 'painKind');
	const intensity = text(form, 'painIntensity');
	const at = /^(\d+)\.(\d+)$/.exec(text(form, 'painAt') ?? '');
	return {
		mood: text(form, 'mood'),
		soreness: Object.fromEntries(
			[...form]
				.filter(([name, value]) => name.startsWith('sore.') && typeof value === 'string')
				.map(([name, value]) => [name.slice('sore.'.length), Number(value)])
		),
		waterLitres: water === null ? null : figure(water),
		fuelMet: fuel === null ? null : fuel === 'yes',
		win: text(form, 'win'),
		pain:
			area === null
				? null
				: {
						area,
						kind,
						intensity: intensity === null ? null : Number(intensity),
						at: at ? { block: Number(at[1]), part: Number(at[2]) } : null
					}
	};
}

/** What hurts in words: those that were typed, or what was tapped. */
function hurtsOf(form: FormData): string | null {
	const area = text(form, 'painArea');
	const intensity = text(form, 'painIntensity');
	const tapped = area && `${areaText(area)}${intensity === null ? '' : `, ${intensity} of 10`}`;
	return text(form, 'hurts') ?? tapped;
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
		well: wellOf(form),
		hurts: hurtsOf(form),
		note: text(form, 'note'),
		sets: done === 'part' ? setsOf(form) : null,
		beyond: beyondOf(form)
	};
}
