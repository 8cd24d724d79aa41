/** Layers of the server, topmost first: a module imports from its own layer and from those below it. */
const LAYERS = ['edge', 'account', 'contact', 'done', 'people', 'training', 'changes', 'records', 'platform'];

/** One rule for each layer: it imports nothing from the layers above. Tests may set up what they need. */
const onlyDownwards = LAYERS.slice(1).map((layer, at) => ({
	name: `server-${layer}-imports-downwards`,
	severity: 'error',
	from: { path: `^src/lib/server/${layer}/`, pathNot: '\\.test\\.ts$' },
	to: { path: `^src/lib/server/(${LAYERS.slice(0, at + 1).join('|')})/` }
}));

/** The directions in which modules may import: routes → lib/server → contracts → core; ui and features → core. */
module.exports = {
	forbidden: [
		...onlyDownwards,
		{
			name: 'server-files-lie-in-layers',
			comment: 'A new folder of the server takes a place in the list of layers.',
			severity: 'error',
			from: {},
			to: { path: '^src/lib/server/', pathNot: `^src/lib/server/(${LAYERS.join('|')})/` }
		},
		{
			name: 'core-imports-core-only',
			comment:
				'The computation knows nothing of interface, database or Node; calendar/ may use the zone library.',
			severity: 'error',
			from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
			to: {
				pathNot:
					'^src/core/|node_modules/(temporal-polyfill|fastest-levenshtein|simple-statistics|lru-cache|countries-and-timezones|city-timezones)/'
			}
		},
		{
			name: 'zones-in-calendar-only',
			severity: 'error',
			from: { path: '^src/core/', pathNot: '^src/core/calendar/' },
			to: { path: 'node_modules/temporal-polyfill/' }
		},
		{
			name: 'contracts-know-core-only',
			severity: 'error',
			from: { path: '^src/contracts/', pathNot: '\\.test\\.ts$' },
			to: { pathNot: '^src/(core|contracts)/|node_modules/yup/' }
		},
		{
			name: 'server-knows-no-interface',
			severity: 'error',
			from: { path: '^src/lib/server/' },
			to: { path: '^src/(routes|lib/(ui|features))/' }
		},
		{
			name: 'interface-has-no-data-access',
			severity: 'error',
			from: { path: '^src/lib/(ui|features|offline)/' },
			to: { path: '^src/(routes|lib/server|demo|cli)/' }
		},
		{
			name: 'ui-knows-no-feature',
			severity: 'error',
			from: { path: '^src/lib/ui/' },
			to: { path: '^src/lib/features/' }
		},
		{
			name: 'nothing-imports-routes',
			severity: 'error',
			from: { pathNot: '^src/routes/' },
			to: { path: '^src/routes/' }
		},
		{ name: 'no-circles', severity: 'error', from: {}, to: { circular: true } }
	],
	options: {
		doNotFollow: { path: 'node_modules' },
		tsConfig: { fileName: 'tsconfig.json' },
		tsPreCompilationDeps: true,
		webpackConfig: { fileName: '.dependency-cruiser.aliases.cjs' },
		enhancedResolveOptions: {
			exportsFields: ['exports'],
			conditionNames: ['import', 'svelte', 'types', 'default']
		},
		exclude: { path: '^(\\.svelte-kit|build|build-cli)/' }
	}
};
