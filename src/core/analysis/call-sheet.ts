import {
	insteadWords,
	clockText,
	type Cue,
	type CueKind,
	formatOf,
	loadText,
	type Segment,
	type Session,
	targetOfSet,
	targetText,
	type Timeline
} from '../session';
import { cuesFor, type Practice } from '../practice';
import { roleTitle } from './outline';

export interface Call {
	/** Seconds from the start. */
	time: number;
	/** What is said, the important part first. */
	say: string;
	/** What it is about, in small: the cue, how much. */
	detail: string;
	kinds: CueKind[];
}

export interface CallBlock {
	title: string;
	/** Set up before it begins; empty without. */
	setup: string;
	start: number;
	seconds: number;
	calls: Call[];
}

const RANK: CueKind[] = [
	'last-round',
	'round',
	'start',
	'change-side',
	'next-up',
	'water',
	'halfway',
	'ten-left',
	'three-two-one'
];

/**
 * What the one who leads says, and when: calls of one moment in one line. Bare countdowns of the same exercise are
 * left to the clock unless `countdowns` is set.
 */
export function callSheetOf(
	session: Session,
	timeline: Timeline,
	{ library, house }: Practice,
	{ countdowns = true }: { countdowns?: boolean } = {}
): CallBlock[] {
	const partOf = (segment: Segment | undefined) =>
		segment?.part === null || segment === undefined
			? undefined
			: session.blocks[segment.block]?.parts[segment.part];
	const nextWork = (from: number) =>
		timeline.segments.slice(from + 1, from + 4).find((segment) => segment.kind === 'work');
	const side = (segment: Segment | undefined) =>
		segment?.side === 'left' || segment?.side === 'right' ? `, ${segment.side} side` : '';
	const cueText = (name: string) => {
		const exercise = library.find(name);
		return exercise ? cuesFor(exercise, house).slice(0, 2).join('. ') : '';
	};

	function words(cue: Cue): { say: string; detail: string } | null {
		const segment = timeline.segments[cue.segment];
		const part = partOf(segment);
		if (!segment) return null;
		switch (cue.kind) {
			case 'start': {
				if (!part) return null;
				const block = session.blocks[segment.block];
				const target = block
					? (formatOf(block).target?.(block, part) ?? targetOfSet(part, segment.round))
					: part.target;
				const much = targetText({
					target,
					perSide: part.perSide,
					...(part.or && { or: part.or }),
					...(part.partial && { partial: part.partial })
				});
				const loaded = loadText(part);
				const load = loaded === null ? '' : `, ${loaded}`;
				return {
					say: `Go: ${part.exercise}${side(segment)}`,
					detail: [
						`${much}${load}`,
						cueText(part.exercise),
						...(part.instead ?? []).map((one) => insteadWords(one))
					]
						.filter(Boolean)
						.join('. ')
				};
			}
			case 'halfway':
				return { say: 'Half', detail: '' };
			case 'ten-left':
				return { say: 'Ten left', detail: '' };
			case 'three-two-one':
				return { say: 'Three, two, one', detail: '' };
			case 'change-side':
				return { say: 'Change side', detail: '' };
			case 'next-up': {
				const next = nextWork(cue.segment);
				const about = partOf(next);
				const setup = segment.kind === 'setup' ? session.blocks[segment.block]?.setup?.text : undefined;
				const rest = `${clockText(segment.seconds)} ${segment.kind === 'setup' ? 'to set up' : segment.kind === 'station-change' ? 'to change station' : 'rest'}`;
				const said = about ? `Next: ${about.exercise}${side(next)}` : 'Rest';
				return { say: setup ? `${setup}. ${said}` : said, detail: rest };
			}
			case 'round':
				return {
					say:
						segment.pass > 1 && segment.round === 1
							? `Time through number ${segment.pass}`
							: `Round ${segment.round}`,
					detail: ''
				};
			case 'last-round':
				return {
					say: segment.pass > 1 && segment.round === 1 ? 'Last time through' : 'Last round',
					detail: ''
				};
			case 'water':
				return { say: 'Water', detail: '' };
		}
	}

	const blocks = timeline.spans.map((span): CallBlock => {
		const block = session.blocks[span.block];
		const title = block ? [block.dayPart, roleTitle(block)].filter(Boolean).join(': ') : '';
		return {
			title: span.of > 1 ? `${title}, ${span.pass} of ${span.of}` : title,
			setup: block?.setup?.text ?? '',
			start: span.start,
			seconds: span.seconds,
			calls: []
		};
	});
	const moments = new Map<string, { time: number; cues: Cue[]; block: number }>();
	for (const cue of timeline.cues) {
		if (!countdowns && ['halfway', 'ten-left', 'three-two-one'].includes(cue.kind)) continue;
		const at = Math.max(
			0,
			timeline.spans.findLastIndex((span) => span.start <= cue.time + 1e-6)
		);
		const key = `${Math.round(cue.time)}`;
		const moment = moments.get(key) ?? { time: cue.time, cues: [], block: at };
		moment.cues.push(cue);
		moments.set(key, moment);
	}
	for (const { time, cues, block } of moments.values()) {
		const said = [...cues]
			.sort((a, b) => RANK.indexOf(a.kind) - RANK.indexOf(b.kind))
			.flatMap((cue) => words(cue) ?? []);
		if (said.length === 0) continue;
		blocks[block]?.calls.push({
			time,
			say: said.map(({ say }) => say).join('. '),
			detail: said
				.map(({ detail }) => detail)
				.filter(Boolean)
				.join(' · '),
			kinds: cues.map((cue) => cue.kind)
		});
	}
	return blocks;
}
