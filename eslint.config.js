import js from '@eslint/js'
import tseslint from 'typescript-eslint'
import hooks from 'eslint-plugin-react-hooks'

const oneClock = [
  { object: 'Date', property: 'now', message: 'Time comes from the one clock (web/src/book/clock.ts).' },
  { object: 'Math', property: 'random', message: 'Chance comes from the one seed.' },
]

export default tseslint.config(
  { ignores: ['**/dist/**', 'reports/**', '.mutation/**', 'test-results/**', 'playwright-report/**'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      'no-console': 'error',
      eqeqeq: 'error',
    },
  },
  {
    files: ['core/src/**', 'web/src/**', 'demo/src/**'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-properties': ['error', ...oneClock],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'Time comes from the one clock.',
        },
      ],
    },
  },
  {
    files: ['web/src/**/*.tsx', 'web/src/**/*.ts'],
    plugins: { 'react-hooks': hooks },
    rules: hooks.configs.recommended.rules,
  },
  {
    files: ['web/src/**'],
    ignores: ['web/src/units/units.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          paths: [
            {
              name: '@ellop/core',
              importNames: ['formatMass', 'formatMassRange', 'formatTemp', 'formatVolume', 'inKitchenUnits'],
              message: 'Figures are shown in the cook’s measures: web/src/units/units.ts.',
            },
          ],
        },
      ],
    },
  },
  { files: ['**/*.test.ts'], rules: { 'no-console': 'off' } },
  {
    files: ['scripts/**', '**/*.mjs', '**/*.cjs', 'cli/**', 'server/**'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        module: 'writable',
        setTimeout: 'readonly',
      },
    },
    rules: { 'no-console': 'off' },
  },
)
