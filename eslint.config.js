import js from '@eslint/js';
import { readdirSync } from 'node:fs';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';

const rooms = readdirSync('resources/js').filter((name) => /^[A-Z][A-Za-z]*$/.test(name));

export default ts.config(
  { ignores: ['resources/js/api/schema.d.ts', 'public/**', 'vendor/**'] },
  js.configs.recommended,
  ...ts.configs.strict,
  ...svelte.configs.recommended,
  { languageOptions: { globals: { ...globals.browser, ...globals.node } } },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'] } },
  },
  {
    rules: {
      'svelte/no-navigation-without-resolve': 'off',
      '@typescript-eslint/no-non-null-assertion': 'error',
    },
  },
  // a room uses ui/, api/, its own files, and of another room what its door (index.ts) shows
  ...rooms.map((room) => ({
    files: [`resources/js/${room}/**`],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              caseSensitive: true,
              regex: `^@/(?!${room}/)[A-Z][A-Za-z]*/|^\\.\\./[A-Z]`,
              message:
                'A room uses ui/, api/ and its own files; of another room only what its index.ts shows.',
            },
          ],
        },
      ],
    },
  })),
  {
    files: ['resources/js/ui/**', 'resources/js/api/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ caseSensitive: true, regex: '^@/[A-Z]', message: 'What is shared knows no room.' }] },
      ],
    },
  },
);
