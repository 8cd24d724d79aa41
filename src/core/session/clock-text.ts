/** Seconds as a clock shows them: 75 → `1:15`, 3675 → `1:01:15`. Rounded to the second. */
export function clockText(seconds: number): string {
	const whole = Math.round(seconds);
	const h = Math.floor(whole / 3600);
	const m = Math.floor((whole % 3600) / 60);
	const s = String(whole % 60).padStart(2, '0');
	return h > 0 ? `${h}:${String(m).padStart(2, '0')}:${s}` : `${m}:${s}`;
}
