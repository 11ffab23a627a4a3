import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const steps = ['account', 'today', 'intake', 'measure', 'prescribe', 'perform', 'advance', 'home', 'exchange'];

// A step never imports another; shared knows no step and no app.
const noOtherSteps = steps.map((step) => ({
  files: [`src/steps/${step}/**/*.{ts,tsx}`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            group: steps.filter((s) => s !== step).flatMap((s) => [`**/${s}/*`, `**/steps/${s}/**`]),
            message: 'A step never imports another step.',
          },
          { group: ['**/app/**'], message: 'A step knows nothing of the app around it.' },
        ],
      },
    ],
  },
}));

export default tseslint.config(
  { ignores: ['dist', 'target', 'node_modules', '.build', 'src/shared/api/schema.d.ts'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  { files: ['src/**/*.{ts,tsx}'], ...hooks.configs.flat['recommended-latest'] },
  {
    files: ['src/shared/**/*.{ts,tsx}'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ group: ['**/steps/**', '**/app/**'], message: 'Shared knows no step and no app.' }] },
      ],
    },
  },
  ...noOtherSteps,
  { files: ['*.mjs'], languageOptions: { globals: { process: 'readonly', console: 'readonly' } } },
);
