/** What has been edited and not saved yet, as it is kept in this browser. */
export interface Draft<State> {
	state: State;
	/** The version or revision that was edited, 0 for something new. */
	basedOn: number;
	/** Epoch milliseconds. */
	at: number;
}

export interface KeptDraft<State> {
	key: string;
	draft: Draft<State>;
}

/** Whose drafts of what: `session` and its id, say. */
export interface DraftOf {
	coachId: string;
	kind: 'session' | 'plan';
	id: string;
}

type Store = Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'key' | 'length'>;

/** Each window keeps its own, so that two never write over each other. */
const prefixOf = ({ coachId, kind, id }: DraftOf): string => `cadrex.draft.${coachId}.${kind}.${id}.`;
export const draftKey = (of: DraftOf, windowId: string): string => prefixOf(of) + windowId;

/** Keeps a draft. False when the browser has no room or does not allow it. */
export function keepDraft<State>(store: Store, key: string, draft: Draft<State>): boolean {
	try {
		store.setItem(key, JSON.stringify(draft));
		return true;
	} catch {
		return false;
	}
}

/**
 * The drafts of something, the newest first. What cannot be read is passed over.
 * @param reads whether something from the store is a state of it
 */
export function draftsOf<State>(
	store: Store,
	of: DraftOf,
	reads: (state: unknown) => state is State
): KeptDraft<State>[] {
	const found: KeptDraft<State>[] = [];
	for (let i = 0; i < store.length; i++) {
		const key = store.key(i);
		if (!key?.startsWith(prefixOf(of))) continue;
		try {
			const draft = JSON.parse(store.getItem(key) ?? 'null') as Partial<Draft<unknown>> | null;
			if (typeof draft?.at === 'number' && typeof draft.basedOn === 'number' && reads(draft.state))
				found.push({ key, draft: draft as Draft<State> });
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
