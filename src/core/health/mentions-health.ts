import { readPain } from './read-pain';

/** Words of conditions, treatment and complaints. A text that has one is read by the coach before day one; no limit is made of it. */
const WORDS =
	/\b(?:pregnan\w*|expecting|trimester|breast-?\s?feed\w*|breastfed|nursing|post-?partum|post-?natal|birth|c-?section|caesarean|miscarriage|blood pressure|hypertens\w*|heart|cardiac|angina|pacemaker|stroke|asthma\w*|copd|breath\w*|diabet\w*|insulin|thyroid|kidney|epilep\w*|seizure\w*|faint\w*|dizz\w*|vertigo|migraine\w*|concuss\w*|surger\w*|surgical|operat\w*|replac\w* (?:hip|knee|shoulder)|implant|injur\w*|fractur\w*|broken|brok[en]|torn|tear|sprain\w*|strain\w*|rupture\w*|hernia\w*|arthrit\w*|arthros\w*|osteopor\w*|scolios\w*|sciatica|disc|prolapse\w*|pelvic floor|incontinen\w*|diastasis|cancer|chemo\w*|tumou?r|medicat\w*|medicine\w*|tablets|pills|beta-?blocker\w*|blood thinner\w*|doctor|physio\w*|rehab\w*|pain\w*|hurt\w*|sore\w*|ache\w*|eating disorder|anorexi\w*|bulimi\w*|depress\w*|anxi\w*|long covid|anaemi\w*|anemi\w*|allerg\w*|disab\w*|wheelchair|prosthe\w*|amput\w*)\b/i;

/** Whether a text mentions somebody's health. */
export const mentionsHealth = (text: string): boolean => WORDS.test(text) || readPain(text).areas.length > 0;
