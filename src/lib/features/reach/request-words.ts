import type { RequestAnswer, Want } from '$contracts/ask';
import type { SoreArea } from '$core/wellbeing';

/** What somebody would like, as one says it. */
export function wantWords({ wants, area }: { wants: Want; area: SoreArea | null }): string {
	if (wants === 'other' || area === null) return 'Something else';
	return wants === 'more' ? `More for the ${area}` : `Less for the ${area}`;
}

export const ANSWER_TEXT: Record<RequestAnswer, string> = {
	yes: 'Yes',
	later: 'Not now',
	no: 'No'
};

/** What a coach could answer, to begin with. */
export const ANSWER_DRAFT: Record<RequestAnswer, string> = {
	yes: 'Thank you for asking. I’ll put it in; look at the days to come.',
	later: 'Thank you for asking. Not in this challenge any more, but I’ve kept it for the next one.',
	no: 'Thank you for asking. I’d rather leave it as it is, because '
};
