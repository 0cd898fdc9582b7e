import js from '@eslint/js';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** Which rooms a room may use. Arrows point toward core; nothing else may be imported across rooms. */
const MAY_USE = {
  core: [],
  formats: ['core'],
  words: ['core', 'formats'],
  contract: ['core', 'words'],
  records: ['core', 'words', 'contract', 'formats'],
  paper: ['core', 'words', 'contract', 'records', 'formats'],
  cli: ['core', 'words', 'contract', 'formats', 'records', 'paper'],
  server: ['core', 'words', 'contract', 'formats', 'records', 'paper'],
  web: ['core', 'words', 'contract', 'formats', 'records', 'paper'],
  e2e: ['core', 'words', 'contract', 'formats', 'records', 'paper'],
};
const ROOMS = Object.keys(MAY_USE);

/** One program of everything, so that what the rooms share is read once; what each room may use is for the type check to say. */
const PROGRAM = 'tsconfig.lint.json';

/** Folders inside core, lowest first: a folder may use those of lower layers, itself, and nothing else. */
const CORE_LAYERS = [
  ['quantity', 'plane'],
  ['sight', 'adjust', 'surface', 'alignment'],
  ['station'],
  ['proof', 'layout', 'guidance', 'lath', 'asBuilt', 'receiver'],
  ['simulator'],
];
/** The few uses of a sibling that are wanted. */
const CORE_SIBLINGS = { lath: ['layout'], plane: ['quantity'] };

const boundaries = ROOMS.map((room) => ({
  files: [`${room}/**/*.{ts,tsx}`],
  ignores: room === 'core' ? ['core/test/**'] : [],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            group: ROOMS.filter((other) => other !== room && !MAY_USE[room].includes(other)).map((other) => `@idle-marker/${other}`),
            message: `${room} does not use this room: see ARCHITECTURE.md.`,
          },
          { group: ['@idle-marker/*/*'], message: 'Import from the room’s index.' },
          { group: ROOMS.filter((other) => other !== room).map((other) => `**/../${other}/**`), message: 'Import other rooms by their name.' },
          ...(room === 'core'
            ? [{ group: ['node:*', 'react', 'express', '@mikro-orm/*', 'pino', 'ajv', 'typebox'], message: 'core computes; it knows no platform.' }]
            : []),
        ],
      },
    ],
  },
}));

const coreLayers = CORE_LAYERS.flatMap((layer, level) =>
  layer.map((folder) => {
    const allowed = [folder, ...CORE_LAYERS.slice(0, level).flat(), ...(CORE_SIBLINGS[folder] ?? [])];
    const refused = CORE_LAYERS.flat().filter((other) => !allowed.includes(other));
    return {
      files: [`core/src/${folder}/**/*.ts`],
      ignores: ['**/*.test.ts'],
      rules: {
        'no-restricted-imports': [
          'error',
          {
            patterns: [
              ...(refused.length > 0
                ? [{ group: refused.map((other) => `../${other}/*`), message: `core/${folder} does not use this: see ARCHITECTURE.md.` }]
                : []),
              { group: ['@idle-marker/*', 'node:*'], message: 'core uses nothing but itself.' },
            ],
          },
        ],
        'no-restricted-globals': ['error', 'console', 'process', 'window', 'document', 'fetch', 'performance'],
        'no-restricted-properties': [
          'error',
          { object: 'Math', property: 'random', message: 'Randomness is handed in.' },
          { object: 'Date', property: 'now', message: 'Time is handed in.' },
        ],
      },
    };
  }),
);

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.idle-data/**', 'playwright-report/**', 'test-results/**', 'fuzz-failures/**', '**/*.tmp.mjs'] },
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [...tseslint.configs.recommendedTypeChecked],
    languageOptions: { parserOptions: { project: PROGRAM, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_', caughtErrors: 'none' }],
      '@typescript-eslint/only-throw-error': 'error',
      '@typescript-eslint/no-unsafe-assignment': 'off',
      // Props are declared as methods; none of them uses 'this'.
      '@typescript-eslint/unbound-method': 'off',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false, arguments: false } }],
      eqeqeq: 'error',
    },
  },
  {
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    files: ['**/*.test.{ts,tsx}', '**/test/**/*.{ts,tsx}', 'e2e/**/*.ts'],
    rules: {
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
    },
  },
  { files: ['server/src/database/migrations/**'], rules: { '@typescript-eslint/require-await': 'off' } },
  {
    files: ['**/*.mjs', 'scripts/**'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        Buffer: 'readonly',
        URL: 'readonly',
        fetch: 'readonly',
        setTimeout: 'readonly',
        setInterval: 'readonly',
        clearInterval: 'readonly',
        document: 'readonly',
        MutationObserver: 'readonly',
        performance: 'readonly',
        globalThis: 'readonly',
      },
    },
  },
  ...boundaries,
  // Tests of papers and of the interface tell their sites with the story of the records' tests.
  { files: ['web/test/**', 'paper/test/**'], rules: { 'no-restricted-imports': 'off' } },
  ...coreLayers,
);
