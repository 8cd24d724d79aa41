import peg from 'peggy';

/**
 * Makes a module with a `parse` of each grammar that is imported.
 * @returns {import('vite').Plugin}
 */
export const peggy = () => ({
	name: 'peggy',
	transform: (grammar, id) =>
		id.endsWith('.peggy')
			? { code: peg.generate(grammar, { output: 'source', format: 'es' }), map: null }
			: null
});
