import { formatOf, putBlock, type Block } from '../../session';
import type { Check, SessionFinding } from '../finding';

/** What each block's own format sees in it. */
const inBlocks: Check = ({ session, practice }) =>
	session.blocks.flatMap((block, b): SessionFinding[] =>
		(formatOf(block).findings?.(block, practice) ?? []).map(({ part, remedy, ...found }) => ({
			...found,
			place: part === null ? { block: b } : { block: b, part },
			remedy: remedy && {
				label: remedy.label,
				apply: () => putBlock(session, b, remedy.block as Block)
			}
		}))
	);

export const FORMAT_CHECKS: readonly Check[] = [inBlocks];
