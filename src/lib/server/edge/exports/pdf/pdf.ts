import type { ChallengeSheet } from '../plan-sheet';
import type { Packet } from '../packet';
import type { CallSheet } from '../../../training/session/call-sheet';
import { callSheetPdf } from './call-sheet-pdf';
import { packetPdf } from './packet-pdf';
import { planSheetPdf } from './plan-sheet-pdf';

/** Something to be set on paper, with all that it takes: plain values, so that it can be handed to a worker. */
export type Paper =
	| { kind: 'call sheet'; sheet: CallSheet }
	| { kind: 'packet'; packet: Packet }
	| { kind: 'plan sheet'; sheet: ChallengeSheet };

/** Sets a paper as PDF, in this thread. */
export function pdfOf(paper: Paper): Promise<Uint8Array<ArrayBuffer>> {
	switch (paper.kind) {
		case 'call sheet':
			return callSheetPdf(paper.sheet);
		case 'packet':
			return packetPdf(paper.packet);
		case 'plan sheet':
			return planSheetPdf(paper.sheet);
	}
}
