import type { Practice } from '../practice';

/** Something in a session that cannot stand. `path` leads to it, as in `blocks[2].parts[0].target.reps`. */
export interface Fault {
	path: string;
	message: string;
}

/** Collects faults about whole numbers, seconds and the like, each with what would be right. */
export class FaultList {
	readonly faults: Fault[] = [];

	constructor(
		private readonly at: string,
		readonly practice: Practice
	) {}

	add(field: string, message: string): void {
		this.faults.push({ path: this.at + field, message });
	}

	/** `value` must be a whole number within [min, max]. */
	whole(field: string, label: string, value: number, min: number, max: number): void {
		if (Number.isInteger(value) && value >= min && value <= max) return;
		const right = `a whole number from ${min} to ${max.toLocaleString('en')}`;
		if (!Number.isInteger(value)) this.add(field, `${label} must be ${right}`);
		else this.add(field, `${value.toLocaleString('en')} ${label}: ${right} is possible`);
	}

	/** `value` must be text of 1 to `max` letters. */
	text(field: string, label: string, value: string, max: number): void {
		if (!value.trim()) this.add(field, `${label} is empty; leave it out or write something`);
		else if (value.length > max) this.add(field, `${label} has ${value.length} letters, ${max} are possible`);
	}
}
