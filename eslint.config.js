import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', 'data/**', '.out/**', '**/*.cjs', 'test-results/**'] },
  ...tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-restricted-syntax': ['error', { selector: 'ExportAllDeclaration', message: 'Name each export.' }],
      'max-lines': ['error', { max: 350, skipBlankLines: true, skipComments: true }],
      eqeqeq: 'error',
    },
  },
  {
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
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
