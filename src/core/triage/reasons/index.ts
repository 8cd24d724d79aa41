/** All reasons, the more urgent first: a new one is its file and a line here. */
import { best } from './best';
import { cameBack } from './came-back';
import { easy } from './easy';
import { fading } from './fading';
import { firstMiss } from './first-miss';
import { followUp } from './follow-up';
import { fullWeek } from './full-week';
import { hard } from './hard';
import { held } from './held';
import { later } from './later';
import { losing } from './losing';
import { low } from './low';
import { missing } from './missing';
import { neverStarted } from './never-started';
import { overEffort } from './over-effort';
import { pain } from './pain';
import { questions } from './questions';
import { review } from './review';
import { sessions } from './sessions';
import { silent } from './silent';
import { stopped } from './stopped';
import { strain } from './strain';
import { tired } from './tired';
import { uneven } from './uneven';

export const DEFINITIONS = [
	stopped,
	held,
	pain,
	losing,
	overEffort,
	review,
	followUp,
	questions,
	neverStarted,
	firstMiss,
	missing,
	fading,
	silent,
	later,
	strain,
	tired,
	low,
	hard,
	uneven,
	easy,
	cameBack,
	best,
	fullWeek,
	sessions
] as const;
