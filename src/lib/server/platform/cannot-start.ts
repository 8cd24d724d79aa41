/** Why the application does not start, in a sentence for whoever runs it; they are shown that and no stack. */
export class CannotStart extends Error {
	override name = 'CannotStart';
	readonly cannotStart = true;
}
