/** What people write of their pain, in any order: where, how much, and whether it is sharp. */
import type { Joint } from '../exercise';

export interface PainText {
	/** Places that are named, each once, in the order of the body. */
	areas: Joint[];
	/** 0…10 as far as a number of ten is given; null if none is. */
	intensity: number | null;
	/** Whether it is called sharp, stabbing and the like. */
	isSharp: boolean;
	/** Whether it is said to get worse. */
	isRising: boolean;
}

/** Words by place; each begins at a word boundary. Calves and shins count to the ankle, thighs and groins to the hip. */
const WORDS: Readonly<Record<Joint, RegExp>> = {
	neck: /\b(?:neck|nape|cervical)\b/,
	shoulder: /\b(?:shoulders?|rotator cuff|collar ?bones?|clavicle|shoulder ?blades?|delts?|deltoids?)\b/,
	elbow: /\b(?:elbows?|fore-?arms?|tennis elbow)\b/,
	wrist: /\b(?:wrists?|hands?|thumbs?|fingers?|carpal)\b/,
	back: /\b(?:back|spine|lumbar|sciatica|sciatic|discs?|disks?|tail ?bone|sacrum|si joint)\b/,
	hip: /\b(?:hips?|groin|glutes?|buttocks?|hip flexors?|thighs?|hamstrings?)\b/,
	knee: /\b(?:knees?|knee ?caps?|patellas?|meniscus|menisci|acl|mcl)\b/,
	ankle: /\b(?:ankles?|foot|feet|heels?|toes?|achilles|plantar|arch of|shins?|cal(?:f|ves))\b/
};

/** Places that are named only to say that they are well: `my knee is fine`. */
const WELL =
	/\b(?:no|not|without|never)\b[^,.;!?]{0,12}\b(?:pain|hurt\w*|problem\w*|sore)\b|\b(?:is|are|feels?|was|were) (?:fine|ok|okay|good|all right|alright|better now)\b/;
/** Words that are not about the body: `back home`, `back to training`, `on the other hand`. */
const NOT_BODY =
	/\bback (?:home|to|from|in (?:a|the)|at|on (?:track|monday|tuesday|wednesday|thursday|friday|saturday|sunday)|again)\b|\b(?:come|came|coming|go|went|going|be|am|was|get|got|getting|held?|step(?:ped)?|fall|fell) back\b|\bon the other hand\b|\bat hand\b|\bhand weights?\b|\b\d+ (?:foot|feet)\b/g;

const NUMBERS = ['zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
const NUMBER = `(\\d{1,2}|${NUMBERS.join('|')})`;
const OF_TEN = [
	new RegExp(`\\b${NUMBER}\\s*(?:/|of|out of|from)\\s*(?:10|ten)\\b`),
	new RegExp(
		`\\b(?:pain|level|intensity|scale|hurts?|about|around)\\s*(?:is|of|at|:|about|a|level)?\\s*${NUMBER}\\b(?!\\s*(?:reps?|sets?|kg|min|s\\b|days?|weeks?|times|/))`
	)
];

const SHARP =
	/\b(?:sharp(?:ly)?|stabb\w*|shoot\w*|piercing|knife|electric|tearing|snap(?:ped)?|popp(?:ed|ing))\b/;
const RISING = /\b(?:worse|worsening|increasing|more and more|getting stronger|rising)\b/;

function intensityIn(text: string): number | null {
	for (const pattern of OF_TEN) {
		const word = pattern.exec(text)?.[1];
		if (word === undefined) continue;
		const number = NUMBERS.includes(word) ? NUMBERS.indexOf(word) : Number(word);
		if (number <= 10) return number;
	}
	return null;
}

/**
 * Reads what somebody writes of their pain. Clauses that say a place is well count for nothing, and so do everyday uses of
 * “back” and “hand”. What is not understood names no place: a text such as “ow” is for a person to read.
 */
export function readPain(text: string): PainText {
	const plain = text.toLowerCase().replace(/[’‘]/g, "'").replace(NOT_BODY, ' ');
	const clauses = plain
		.split(/[.;!?\n]|\bbut\b|,(?=\s*(?:my|the|and|now|no)\b)/)
		.filter((one) => !WELL.test(one));
	const areas = (Object.keys(WORDS) as Joint[]).filter((area) =>
		clauses.some((clause) =>
			WORDS[area].test(area === 'back' ? clause.replace(/\b(?:shoulder ?blades?)\b/g, '') : clause)
		)
	);
	const whole = clauses.join('. ');
	return { areas, intensity: intensityIn(whole), isSharp: SHARP.test(whole), isRising: RISING.test(whole) };
}
