import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

// Components alone: everything else, with its types, is looked at by oxlint (.oxlintrc.json), in a twelfth of the time.
// A component's types are svelte-check's to judge.
export default ts.config(
	{ ignores: ['**/*', '!src', '!src/**/', '!**/*.svelte', '!**/*.svelte.ts'] },
	js.configs.recommended,
	...ts.configs.recommended,
	...svelte.configs.recommended,
	{
		languageOptions: {
			globals: { ...globals.browser, ...globals.node },
			parserOptions: { extraFileExtensions: ['.svelte'] }
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
	}
);
