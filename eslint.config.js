import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

export default ts.config(
	{ ignores: ['.svelte-kit/', 'build/', 'build-cli/', 'node_modules/', 'data/', '.cache/', 'static/'] },
	js.configs.recommended,
	...ts.configs.recommendedTypeChecked,
	...svelte.configs.recommended,
	{
		languageOptions: {
			globals: { ...globals.browser, ...globals.node },
			parserOptions: {
				projectService: { allowDefaultProject: ['*.js', '*.cjs'] },
				extraFileExtensions: ['.svelte']
			}
		},
		rules: {
			'no-undef': 'off',
			'no-console': 'error',
			eqeqeq: 'error',
			'@typescript-eslint/no-explicit-any': 'error',
			'@typescript-eslint/consistent-type-imports': 'error',
			'@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }]
		}
	},
	{
		files: ['**/*.svelte', '**/*.svelte.ts'],
		languageOptions: { parserOptions: { parser: ts.parser, svelteConfig } },
		rules: { 'svelte/no-navigation-without-resolve': 'off' }
	},
	// A component's types are svelte-check's to judge: here each would make the type checker read the program anew,
	// which took as long as all the rest of the lint.
	{ files: ['**/*.svelte'], extends: [ts.configs.disableTypeChecked] },
	{ files: ['scripts/**', 'src/cli/**', 'tests/load/**'], rules: { 'no-console': 'off' } },
	{ files: ['**/*.js', '**/*.cjs', '**/*.mjs'], extends: [ts.configs.disableTypeChecked] }
);
