import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import { restrictions } from './eslint.codes.js';

export default ts.config(
	{ ignores: ['**/build/', '**/.svelte-kit/', '.data/', '**/.cache/'] },
	js.configs.recommended,
	...ts.configs.strict,
	...svelte.configs.recommended,
	{
		languageOptions: { globals: { ...globals.browser, ...globals.node } },
		rules: {
			'no-undef': 'off',
			'@typescript-eslint/no-non-null-assertion': 'off',
			'@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_$' }],
			'@typescript-eslint/consistent-type-imports': ['error', { disallowTypeAnnotations: false }],
			// Links here are plain paths: the application is always served from the root.
			'svelte/no-navigation-without-resolve': 'off',
			// Sets and dates made and read within one function need no reactivity.
			'svelte/prefer-svelte-reactivity': 'off',
			// The package's index is 4,000 icons, all of which the build and the type check would read.
			'no-restricted-imports': ['error', { paths: ['@lucide/svelte'] }]
		}
	},
	{
		files: ['**/*.svelte', '**/*.svelte.ts'],
		languageOptions: {
			parserOptions: { extraFileExtensions: ['.svelte'], parser: ts.parser }
		}
	},
	{
		files: ['**/*.ts', '**/*.svelte'],
		// Tests find what is on a page by its words; version 1 was kept in words, and stays readable.
		ignores: ['**/*.test.ts', '**/*.bench.ts', 'e2e/', '**/version-1.ts', 'words/'],
		rules: { 'no-restricted-syntax': ['error', ...restrictions] }
	},
	{
		files: ['**/*.ts', '**/*.svelte'],
		ignores: ['**/*.test.ts', '**/migrations/*.ts', 'e2e/'],
		rules: {
			'max-lines-per-function': ['error', { max: 80, skipBlankLines: true, skipComments: true }]
		}
	},
	{
		files: ['**/*.svelte'],
		rules: { 'max-lines': ['error', { max: 199, skipBlankLines: true }] }
	}
);
