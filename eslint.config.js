import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import svelte from 'eslint-plugin-svelte';
import { defineConfig, globalIgnores } from 'eslint/config';
import globals from 'globals';
import jsdoc from 'eslint-plugin-jsdoc';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

const pure = (what) => ({ message: `${what} is passed in: the core has no clock and no chance of its own.` });

export default defineConfig(
  globalIgnores([
    'build/',
    '.svelte-kit/',
    '.local/',
    'node_modules/',
    'test-results/',
    'bench/bare/.svelte-kit/',
    'bench/bare/build/'
  ]),
  js.configs.recommended,
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  prettier,
  ...svelte.configs.prettier,
  {
    languageOptions: { globals: { ...globals.browser, ...globals.node } },
    rules: {
      'no-undef': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'svelte/no-navigation-without-resolve': 'off',
      // sets and dates here are made anew and never changed in place
      'svelte/prefer-svelte-reactivity': 'off'
    }
  },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'], svelteConfig } }
  },
  {
    files: ['src/core/**/*.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', ...pure('Time') },
        { object: 'Math', property: 'random', ...pure('Randomness') }
      ],
      'no-restricted-imports': [
        'error',
        { patterns: ['$lib/*', '**/lib/*', '**/routes/*', 'svelte', '@sveltejs/*', 'node:*'] }
      ]
    }
  },
  {
    // the played machines and the technician reach into the state of every trade: each trade's type is its own, and the harness
    // must run against states of later versions
    files: ['study/guidance/**'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { args: 'none' }]
    }
  },
  {
    // every calculation says what it is; formula, source, errors and example stand beside it in calcs.ts
    files: ['src/core/calculations/**/*.ts'],
    plugins: { jsdoc },
    rules: {
      'jsdoc/require-jsdoc': [
        'error',
        { publicOnly: true, require: { FunctionDeclaration: true, ArrowFunctionExpression: true } }
      ],
      'jsdoc/require-description': 'error'
    }
  },
  {
    files: ['src/lib/**', 'src/routes/**'],
    ignores: ['src/lib/server/repositories/**', 'src/lib/server/db/**', 'src/lib/server/live/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          paths: [{ name: 'pg', message: 'SQL lives in the repositories.' }],
          patterns: [
            {
              group: ['**/db/pool.ts'],
              importNames: ['query', 'getPool'],
              message: 'SQL lives in the repositories.'
            }
          ]
        }
      ]
    }
  }
);
