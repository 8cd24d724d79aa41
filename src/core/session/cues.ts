import type { Segment } from './timeline';

export type CueKind =
	| 'start'
	| 'halfway'
	| 'ten-left'
	| 'three-two-one'
	| 'change-side'
	| 'next-up'
	| 'round'
	| 'last-round'
	| 'water';

/** Something to call out, in seconds from the start of the session. */
export interface Cue {
	time: number;
	kind: CueKind;
	/** Index of the segment it belongs to. */
	segment: number;
}

/** Work shorter than this has no halfway or ten-left call: the calls would run into one another. */
const LONG_ENOUGH = 20;
/** Rests from this length on are worth a drink (common practice, no source). */
const WATER_REST = 45;
const RESTS = new Set(['rest', 'round-rest', 'station-change', 'setup', 'transition']);

interface Through {
	block: number;
	pass: number;
	of: number;
}

function lastRounds(segments: readonly Segment[]): Map<number, number> {
	const last = new Map<number, number>();
	for (const s of segments) last.set(s.block, Math.max(last.get(s.block) ?? 1, s.round));
	return last;
}

/** What the one who leads calls out, in order of time. `spans`: the goings through of blocks, for their number. */
export function cuesOf(segments: readonly Segment[], spans: readonly Through[] = []): Cue[] {
	const cues: Cue[] = [];
	const rounds = lastRounds(segments);
	const passes = new Map(spans.map((span) => [span.block, span.of]));
	let block = -1;
	let round = 1;
	let pass = 1;
	segments.forEach((s, segment) => {
		const end = s.start + s.seconds;
		const say = (time: number, kind: CueKind) => cues.push({ time, kind, segment });
		if (s.kind === 'side-change') say(s.start, 'change-side');
		if (RESTS.has(s.kind)) {
			if (segments[segment + 1]) say(s.start, 'next-up');
			if (s.seconds >= WATER_REST) say(s.start, 'water');
		}
		if (s.kind !== 'work') return;
		const last = rounds.get(s.block) ?? 1;
		// Blocks that are repeated together are called once a pass, at the first of them.
		if (s.pass > 1 && s.pass !== pass) say(s.start, s.pass === passes.get(s.block) ? 'last-round' : 'round');
		else if (s.block === block && s.pass === pass && s.round > round && last > 1)
			say(s.start, s.round === last ? 'last-round' : 'round');
		block = s.block;
		round = s.round;
		pass = s.pass;
		// Two sides in one slot follow each other without a pause: the change is called as the second begins.
		const before = segments[segment - 1];
		say(s.start, s.side === 'right' && before?.kind === 'work' ? 'change-side' : 'start');
		if (s.paced || s.seconds < LONG_ENOUGH) return;
		say(s.start + s.seconds / 2, 'halfway');
		if (s.seconds / 2 > 10) say(end - 10, 'ten-left');
		say(end - 3, 'three-two-one');
	});
	return cues.sort((a, b) => a.time - b.time || a.segment - b.segment);
}
