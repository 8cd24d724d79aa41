/** The directions, and no circle between folders. Tests are left out: they set up what they need from anywhere. */
module.exports = {
	extends: './.dependency-cruiser.cjs',
	forbidden: [
		{
			name: 'no-circles-between-folders',
			scope: 'folder',
			severity: 'error',
			from: {},
			to: { circular: true }
		}
	],
	options: { exclude: { path: '^(\\.svelte-kit|build|build-cli|tests)/|\\.test\\.ts$' } }
};
