/** What is read file by file; what wants the types behind a name is in .oxlintrc.json. */
import js from '@eslint/js';
import jsdoc from 'eslint-plugin-jsdoc';
import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';
import { unitSuffix } from './scripts/lint/unit-suffix.js';

/** Core may see nothing but itself: no DOM, no Node, no clock, no random. */
const CORE_GLOBALS = [
  'window',
  'document',
  'navigator',
  'localStorage',
  'fetch',
  'process',
  'Buffer',
  'setTimeout',
  'setInterval',
  'console',
  'performance',
  'crypto',
  'Date',
];
const forbidImports = (...groups) => [
  'error',
  { patterns: groups.map(([regex, message]) => ({ regex, message })) },
];
const NODE = ['^node:', 'No Node here.'];
const WEB = ['@orthochrom/web|^react|^@mantine|^d3', 'Nothing of the screen here.'];
const SERVER = ['@orthochrom/server|^express$|^typeorm$|^pg$', 'Nothing of the server here.'];
const CONTRACT = ['@orthochrom/contract|^zod', 'Core does not know the contract.'];

export default tseslint.config(
  {
    ignores: [
      '**/dist/**',
      '**/node_modules/**',
      '.data/**',
      'test-results/**',
      '**/*.d.ts',
      '**/*.d.mts',
    ],
  },
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [tseslint.configs.recommended],
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
    },
  },
  {
    files: ['packages/**/*.{ts,tsx}', 'e2e/**/*.ts'],
    plugins: { units: { rules: { suffix: unitSuffix } } },
    rules: {
      'units/suffix': 'error',
      // The formatter cannot break a sentence or a table's row: those are let be.
      'max-len': [
        'error',
        {
          code: 100,
          ignoreStrings: true,
          ignoreTemplateLiterals: true,
          ignoreRegExpLiterals: true,
        },
      ],
    },
  },
  // Released: never changed, not even their lines.
  { files: ['packages/server/src/migrations/**'], rules: { 'max-len': 'off' } },
  {
    files: ['packages/core/src/**/*.ts'],
    rules: {
      'no-restricted-imports': forbidImports(NODE, WEB, SERVER, CONTRACT),
      'no-restricted-globals': ['error', ...CORE_GLOBALS],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Core is the same for the same input.' },
      ],
    },
  },
  {
    // The public face of core: what each function is for, in its own line.
    files: ['packages/core/src/**/*.ts'],
    plugins: { jsdoc },
    rules: {
      'jsdoc/require-jsdoc': [
        'error',
        {
          publicOnly: true,
          require: { FunctionDeclaration: true, ArrowFunctionExpression: true },
          enableFixer: false,
        },
      ],
    },
  },
  {
    files: ['packages/contract/src/**/*.ts'],
    rules: { 'no-restricted-imports': forbidImports(NODE, WEB, SERVER) },
  },
  {
    files: ['packages/server/src/**/*.ts'],
    rules: { 'no-restricted-imports': forbidImports(WEB) },
  },
  {
    files: ['packages/web/src/**/*.{ts,tsx}'],
    rules: { 'no-restricted-imports': forbidImports(NODE, SERVER) },
  },
  { files: ['packages/web/src/**/*.{ts,tsx}'], ...hooks.configs.flat.recommended },
  { files: ['**/*.{js,mjs,cjs}'], languageOptions: { globals: globals.node } },
);
