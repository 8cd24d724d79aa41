import type { Session } from '$core/session';

/** What has been edited and not saved yet, as it is kept in this browser. */
export interface Draft {
	name: string;
	tags: string[];
	session: Session;
	/** The version that was edited, 0 for a new session. */
	basedOn: number;
	/** Epoch milliseconds. */
	at: number;
}

export interface KeptDraft {
	key: string;
	draft: Draft;
}

type Store = Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'key' | 'length'>;

/** Drafts of one session by one coach: each window keeps its own, so that two never write over each other. */
const prefixOf = (coachId: string, sessionId: string): string => `cadrex.draft.${coachId}.${sessionId}.`;
export const draftKey = (coachId: string, sessionId: string, windowId: string): string =>
	prefixOf(coachId, sessionId) + windowId;

/** Keeps a draft. False when the browser has no room or does not allow it. */
export function keepDraft(store: Store, key: string, draft: Draft): boolean {
	try {
		store.setItem(key, JSON.stringify(draft));
		return true;
	} catch {
		return false;
	}
}

const isDraft = (value: unknown): value is Draft => {
	const draft = value as Partial<Draft> | null;
	return (
		typeof draft?.name === 'string' &&
		typeof draft.at === 'number' &&
		typeof draft.basedOn === 'number' &&
		Array.isArray(draft.session?.blocks) &&
		Array.isArray(draft.tags)
	);
};

/** The drafts of a session, the newest first. What cannot be read is passed over. */
export function draftsOf(store: Store, coachId: string, sessionId: string): KeptDraft[] {
	const found: KeptDraft[] = [];
	for (let i = 0; i < store.length; i++) {
		const key = store.key(i);
		if (!key?.startsWith(prefixOf(coachId, sessionId))) continue;
		try {
			const draft: unknown = JSON.parse(store.getItem(key) ?? 'null');
			if (isDraft(draft)) found.push({ key, draft });
		} catch {
			continue;
		}
	}
	return found.sort((a, b) => b.draft.at - a.draft.at);
}

/** The name of this window, the same after a reload. */
export function windowId(store: Store): string {
	const known = store.getItem('cadrex.window');
	if (known) return known;
	const made = crypto.randomUUID();
	store.setItem('cadrex.window', made);
	return made;
}
