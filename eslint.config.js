import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';
import { ownNames } from './scripts/ownNames.js';

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', 'data/**', 'data-dev/**', '.out/**', '**/*.cjs', 'test-results/**'] },
  ...tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      'max-params': ['error', 4],
      'no-nested-ternary': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-restricted-syntax': ['error', { selector: 'ExportAllDeclaration', message: 'Name each export.' }],
      'max-lines': ['error', 300],
      // What Prettier leaves: comments. Strings may be longer.
      'max-len': [
        'error',
        { code: 120, ignoreStrings: true, ignoreTemplateLiterals: true, ignoreRegExpLiterals: true },
      ],
      eqeqeq: 'error',
    },
  },
  {
    // What only the types can tell: a promise that nobody waits for.
    files: ['**/*.{ts,tsx}'],
    languageOptions: {
      parserOptions: { project: ['tsconfig.node.json', 'tsconfig.browser.json'], tsconfigRootDir: import.meta.dirname },
    },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': 'error',
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts', 'core/src/testing/**', 'core/src/facts/terms/lookUp.ts'],
    plugins: { core: { rules: { 'own-names': ownNames } } },
    rules: { 'core/own-names': 'error' },
  },
  {
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: {
      'no-restricted-syntax': [
        'error',
        { selector: 'ExportAllDeclaration', message: 'Name each export.' },
        { selector: "JSXAttribute[name.name='style']", message: 'Style with the theme: styled-components.' },
        {
          selector: 'CallExpression[callee.property.name=/^toLocale(Date|Time)String$/]',
          message: 'Dates have one form: ui/when.',
        },
      ],
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
    },
  },
  {
    // Journeys use the keyboard; only the one pointer journey may click.
    files: ['e2e/**/*.ts'],
    ignores: ['e2e/journeys/pointer.spec.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'CallExpression[callee.property.name=/^(click|dblclick|tap|check|uncheck|hover|dragTo)$/]',
          message: 'Journeys use the keyboard.',
        },
        { selector: "MemberExpression[property.name='mouse']", message: 'Journeys use the keyboard.' },
        {
          selector: "CallExpression[callee.property.name='waitForTimeout']",
          message: 'No sleeps: wait for what is to be seen.',
        },
      ],
    },
  },
);
