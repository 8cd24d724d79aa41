// The names under which svelte.config.js lets modules be imported, for the check of directions.
const at = (path) => `${__dirname}/${path}`;

module.exports = {
	resolve: {
		alias: {
			$core: at('src/core'),
			$contracts: at('src/contracts'),
			$lib: at('src/lib'),
			$demo: at('src/demo')
		}
	}
};
