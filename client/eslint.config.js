import js from '@eslint/js';
import boundaries from 'eslint-plugin-boundaries';
import jsxA11y from 'eslint-plugin-jsx-a11y';
import reactHooks from 'eslint-plugin-react-hooks';
import { defineConfig, globalIgnores } from 'eslint/config';
import tseslint from 'typescript-eslint';

/** The rooms of the client (docs/architecture.md), the lowest first: each knows itself and what is below it. */
const ROOMS = ['api', 'ui', 'site', 'values', 'things', 'content', 'ledger', 'stage', 'readings', 'steps', 'app'];

/** Rooms that stand beside each other and know nothing of each other; the stage names states as the ledger does. */
const BESIDE = { content: ['things'], ledger: ['things', 'content'], stage: ['things', 'content'] };

const below = (room) => ROOMS.slice(0, ROOMS.indexOf(room)).filter((lower) => !(BESIDE[room] ?? []).includes(lower));

const may = (room, others) => ({ from: { element: { type: room } }, allow: { to: { element: { type: others } } } });

export default defineConfig([
  globalIgnores(['dist*', 'public', 'src/api/schema.ts']),
  js.configs.recommended,
  tseslint.configs.strict,
  jsxA11y.flatConfigs.recommended,
  reactHooks.configs.flat['recommended-latest'],
  {
    files: ['src/**'],
    plugins: { boundaries },
    settings: {
      'import/resolver': { typescript: true },
      'boundaries/include': ['src/**/*'],
      // It puts the application on the page and is imported by nobody.
      'boundaries/ignore': ['src/main.tsx'],
      'boundaries/elements': [
        { type: 'steps', pattern: 'src/steps/*', capture: ['step'] },
        ...ROOMS.filter((room) => room !== 'steps').map((type) => ({ type, pattern: `src/${type}` })),
      ],
    },
    rules: {
      'boundaries/no-unknown-files': 'error',
      'boundaries/no-unknown-dependencies': 'error',
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          message: 'A room knows itself and those below it, and steps know nothing of each other (docs/architecture.md).',
          policies: [
            ...ROOMS.map((room) => may(room, room === 'steps' ? below(room) : [...below(room), room])),
            {
              from: { element: { type: 'steps' } },
              allow: { to: { element: { type: 'steps', captured: { step: '{{ from.element.captured.step }}' } } } },
            },
          ],
        },
      ],
    },
  },
  {
    files: ['src/**'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector:
            'CallExpression[callee.name=/^use(Layout)?Effect$/] > ArrowFunctionExpression[body.type!=/BlockStatement|ArrowFunctionExpression/]',
          message: 'React calls what an effect answers: some browsers answer a promise from scrollIntoView and its like. Give it a block.',
        },
      ],
    },
  },
  { files: ['scripts/**'], languageOptions: { globals: { process: 'readonly', console: 'readonly', performance: 'readonly' } } },
]);
