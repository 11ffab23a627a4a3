import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';
import words from './words-not-to-use.json' with { type: 'json' };

const steps = [
  'account',
  'today',
  'clients',
  'intake',
  'measure',
  'prescribe',
  'perform',
  'advance',
  'home',
  'report',
  'schedule',
  'exchange',
];

// The plain words are those people know from every program; the server's are looked through by its own tests.
const plain = words.flatMap((word) =>
  ['JSXText[value=', 'Literal[value=', 'TemplateElement[value.raw='].map((node) => ({
    selector: `${node}/${word}/i]`,
    message: `Not a plain word: ${word}`,
  })),
);

// The rooms of a step that has grown, in the order of its arrows; '' is what all of them share.
const rooms = { perform: ['', 'gauge', 'floor', 'record'] };

function laterRooms(step, room) {
  const order = rooms[step] ?? [''];
  return order.slice(order.indexOf(room) + 1).flatMap((later) => [`./${later}/*`, `../${later}/*`]);
}

// A step never imports another, nor a room one after it; shared knows no step and no app.
const arrows = steps.flatMap((step) =>
  (rooms[step] ?? ['']).map((room) => ({
    files: [room === '' ? `src/steps/${step}/**/*.{ts,tsx}` : `src/steps/${step}/${room}/**/*.{ts,tsx}`],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: [
                ...steps.filter((s) => s !== step).flatMap((s) => [`**/${s}/*`, `**/steps/${s}/**`]),
                '!**/shared/**',
              ],
              message: 'A step never imports another step.',
            },
            { group: ['**/app/**'], message: 'A step knows nothing of the app around it.' },
            { group: laterRooms(step, room), message: 'A room never imports one after it.' },
          ].filter((p) => p.group.length > 0),
        },
      ],
    },
  })),
);

export default tseslint.config(
  { ignores: ['dist', 'target', 'node_modules', '.build', 'src/shared/api/schema.d.ts'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  { files: ['src/**/*.{ts,tsx}'], rules: { 'no-restricted-syntax': ['error', ...plain] } },
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
  ...arrows,
  { files: ['*.mjs'], languageOptions: { globals: { process: 'readonly', console: 'readonly' } } },
);
