/** Gives fields back what was typed into them before the scripts of the page ran (app.html notes it). */

type Field = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement;

declare global {
	interface Window {
		/** What was typed, or whether it was ticked. */
		typedEarly?: Map<Field, string | boolean>;
		noteTyped?: (event: Event) => void;
	}
}

/** A field that was drawn anew has the name and the type of the one before. */
const sameField = (field: Field): Field | null =>
	field.isConnected
		? field
		: document.querySelector<Field>(
				`[name="${CSS.escape(field.name)}"][type="${CSS.escape(field.type)}"], #${CSS.escape(field.id || '-')}`
			);

export function restoreTyped(): void {
	const { typedEarly, noteTyped } = window;
	if (!typedEarly || !noteTyped) return;
	removeEventListener('input', noteTyped, true);
	for (const [field, typed] of typedEarly) {
		const now = sameField(field);
		if (!now) continue;
		if (typeof typed === 'boolean') {
			if ((now as HTMLInputElement).checked === typed) continue;
			(now as HTMLInputElement).checked = typed;
		} else {
			if (now.value === typed) continue;
			now.value = typed;
		}
		// What is bound to the field takes it over.
		now.dispatchEvent(new Event('input', { bubbles: true }));
		now.dispatchEvent(new Event('change', { bubbles: true }));
	}
	typedEarly.clear();
}
