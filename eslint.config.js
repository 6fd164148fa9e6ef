import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

/** Time and chance are arguments: only the files named further down may read the machine's own. */
const noHiddenTime = [
  'error',
  {
    selector: "MemberExpression[object.name='Date'][property.name='now']",
    message: 'Take the time as an argument; only the clock reads it.'
  },
  {
    selector: "NewExpression[callee.name='Date'][arguments.length=0]",
    message: 'Take the time as an argument; only the clock reads it.'
  },
  { selector: "CallExpression[callee.name='Date']", message: 'Take the time as an argument; only the clock reads it.' },
  {
    selector: "MemberExpression[object.name='Temporal'][property.name='Now']",
    message: 'Take the time as an argument.'
  },
  {
    selector: "MemberExpression[object.name='Math'][property.name='random']",
    message: 'Take chance as a seeded argument.'
  },
  {
    selector:
      "Literal[value=/CURRENT_TIME|CURRENT_DATE|datetime\\('now|strftime\\([^)]*now|unixepoch\\(\\)|julianday\\('now/i]",
    message: 'SQL does not read the clock here; bind the time.'
  },
  {
    selector:
      "TemplateElement[value.raw=/CURRENT_TIME|CURRENT_DATE|datetime\\('now|strftime\\([^)]*now|unixepoch\\(\\)|julianday\\('now/i]",
    message: 'SQL does not read the clock here; bind the time.'
  }
];

export default ts.config(
  { ignores: ['build/', '.svelte-kit/', 'node_modules/', 'data/', '.cache/'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  prettier,
  ...svelte.configs.prettier,
  {
    languageOptions: { globals: { ...globals.browser, ...globals.node } },
    rules: {
      'no-undef': 'off',
      'no-restricted-syntax': noHiddenTime,
      '@typescript-eslint/consistent-type-imports': ['error', { disallowTypeAnnotations: false }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'svelte/no-navigation-without-resolve': 'off',
      'svelte/prefer-svelte-reactivity': 'off'
    }
  },
  // A file that is held in the head; a suite of tests is one long function, and may be.
  {
    rules: { 'max-lines': ['error', { max: 400 }] }
  },
  {
    files: ['src/**', 'devices/**', 'scripts/**'],
    rules: { 'max-lines-per-function': ['error', { max: 100 }] }
  },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'], svelteConfig } }
  },
  {
    // The only rooms with a clock of their own: the server's, the browser's, and the tools that measure or start things.
    files: [
      'eslint.config.js',
      'src/lib/server/clock.ts',
      'devices/index.ts',
      'src/lib/ui/clock.svelte.ts',
      'scripts/**',
      'tests/bench/**',
      'tests/browser/**'
    ],
    rules: { 'no-restricted-syntax': 'off' }
  },
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  { files: ['tests/**'], rules: { '@typescript-eslint/no-unused-expressions': 'off' } }
);
