const { options } = require('./.dependency-cruiser.cjs');

/** Circles between folders. Tests are left out: they set up what they need from anywhere. */
module.exports = {
	forbidden: [
		{
			name: 'no-circles-between-folders',
			scope: 'folder',
			severity: 'error',
			from: {},
			to: { circular: true }
		}
	],
	options: { ...options, exclude: { path: `${options.exclude.path}|\\.test\\.ts$|^tests/` } }
};
