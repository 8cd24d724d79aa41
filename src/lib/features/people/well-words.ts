import type { Well } from '$contracts/check-in';
import { sorenessText } from '$core/wellbeing';

/** The rest of how somebody said they are, as sentences; empty where nothing was said. */
export function wellWords({ soreness, waterLitres, fuelMet, win }: Partial<Well>): string {
	const sore = sorenessText(soreness ?? {});
	return [
		win ? `Win: “${win}”${/[.!?]$/.test(win) ? '' : '.'}` : '',
		sore ? `Sore: ${sore}.` : '',
		(waterLitres ?? null) === null ? '' : `Water ${waterLitres} l.`,
		(fuelMet ?? null) === null ? '' : fuelMet ? 'Ate as planned.' : 'Did not eat as planned.'
	]
		.filter(Boolean)
		.join(' ');
}
