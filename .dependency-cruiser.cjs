/** The directions in which modules may import: routes → lib/server → core; components → core. */
module.exports = {
	forbidden: [
		{
			name: 'core-imports-core-only',
			comment:
				'The computation knows nothing of interface, database or Node; release/ may use the zone library.',
			severity: 'error',
			from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
			to: { pathNot: '^src/core/|node_modules/temporal-polyfill/' }
		},
		{
			name: 'zones-in-release-only',
			severity: 'error',
			from: { path: '^src/core/', pathNot: '^src/core/release/' },
			to: { path: 'node_modules/temporal-polyfill/' }
		},
		{
			name: 'server-knows-no-interface',
			severity: 'error',
			from: { path: '^src/lib/server/' },
			to: { path: '^src/(routes|lib/components)/' }
		},
		{
			name: 'components-have-no-data-access',
			severity: 'error',
			from: { path: '^src/lib/(components|workers|offline)/' },
			to: { path: '^src/(routes|lib/server|demo|cli)/' }
		},
		{
			name: 'nothing-imports-routes',
			severity: 'error',
			from: { pathNot: '^src/routes/' },
			to: { path: '^src/routes/' }
		},
		{
			name: 'no-circles',
			severity: 'error',
			from: {},
			to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } }
		}
	],
	options: {
		doNotFollow: { path: 'node_modules' },
		tsConfig: { fileName: 'tsconfig.json' },
		tsPreCompilationDeps: true,
		enhancedResolveOptions: {
			exportsFields: ['exports'],
			conditionNames: ['import', 'svelte', 'types', 'default']
		},
		exclude: { path: '^(\\.svelte-kit|build|build-cli)/' }
	}
};
