/**
 * What the linter asks for, with types: `npm run lint`. Later overrides of a rule take the place of earlier ones.
 */
/** Which rooms a room may use. Arrows point toward core; nothing else may be imported across rooms. */
const MAY_USE = {
  core: [],
  formats: ['core'],
  words: ['core', 'formats'],
  contract: ['core', 'words'],
  records: ['core', 'words', 'contract', 'formats'],
  paper: ['core', 'words', 'contract', 'records', 'formats'],
  archive: ['core', 'words', 'contract', 'records'],
  press: ['core', 'words', 'contract', 'records', 'formats', 'paper'],
  cli: ['core', 'words', 'contract', 'formats', 'records', 'paper', 'press', 'archive'],
  server: ['core', 'words', 'contract', 'formats', 'records', 'paper', 'press', 'archive'],
  web: ['core', 'words', 'contract', 'formats', 'records', 'paper'],
  e2e: ['core', 'words', 'contract', 'formats', 'records', 'paper'],
};
const ROOMS = Object.keys(MAY_USE);

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

/** What no file of a room may import. */
const roomPatterns = (room) => [
  {
    group: ROOMS.filter((other) => other !== room && !MAY_USE[room].includes(other)).map(
      (other) => `@idle-marker/${other}`,
    ),
    message: `${room} does not use this room: see ARCHITECTURE.md.`,
  },
  { group: ['@idle-marker/*/**'], message: 'Import from the room’s index.' },
  {
    group: ROOMS.filter((other) => other !== room).map((other) => `**/../${other}/**`),
    message: 'Import other rooms by their name.',
  },
  ...(room === 'core'
    ? [
        {
          group: ['node:*', 'react', 'express', '@mikro-orm/*', 'pino', 'ajv', 'typebox'],
          message: 'core computes; it knows no platform.',
        },
      ]
    : []),
];

const boundaries = ROOMS.map((room) => ({
  files: [`${room}/**/*.{ts,tsx}`],
  rules: { 'no-restricted-imports': ['error', { patterns: roomPatterns(room) }] },
}));

/** Folders inside web, lowest first: a folder may use those of lower layers and itself. No feature uses another. */
const WEB_LAYERS = [
  ['ui'],
  ['field'],
  ['board', 'data', 'reading'],
  ['print'],
  ['link', 'site'],
  ['drawings', 'evidence'],
  ['pole', 'stakes', 'packages'],
  ['settings'],
  ['features'],
  ['frame'],
];

const webLayers = WEB_LAYERS.flatMap((layer, level) =>
  layer.map((folder) => {
    const refused = [...layer.filter((other) => other !== folder), ...WEB_LAYERS.slice(level + 1).flat()];
    const above =
      refused.length > 0
        ? [
            {
              regex: `^(\\.\\./)+(${refused.join('|')})/`,
              message: `web/${folder} does not use this: see ARCHITECTURE.md.`,
            },
          ]
        : [];
    const beside =
      folder === 'features'
        ? [{ regex: '^\\.\\./[a-z]', message: 'Features do not know one another: what two of them need stands below.' }]
        : [];
    return {
      files: [`web/src/${folder}/**/*.{ts,tsx}`],
      rules: { 'no-restricted-imports': ['error', { patterns: [...roomPatterns('web'), ...above, ...beside] }] },
    };
  }),
);

/** Statements to the database stand in one folder of the server, with typed rows. */
const STATEMENTS = {
  files: ['server/src/**/*.ts'],
  excludeFiles: ['server/src/database/**'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          ...roomPatterns('server'),
          { regex: '/database/query', message: 'A statement stands in server/src/database: see ARCHITECTURE.md.' },
        ],
      },
    ],
  },
};

const coreLayers = CORE_LAYERS.flatMap((layer, level) =>
  layer.map((folder) => {
    const allowed = [folder, ...CORE_LAYERS.slice(0, level).flat(), ...(CORE_SIBLINGS[folder] ?? [])];
    const refused = CORE_LAYERS.flat().filter((other) => !allowed.includes(other));
    return {
      files: [`core/src/${folder}/**/*.ts`],
      rules: {
        'no-restricted-imports': [
          'error',
          {
            patterns: [
              ...(refused.length > 0
                ? [
                    {
                      group: refused.map((other) => `../${other}/*`),
                      message: `core/${folder} does not use this: see ARCHITECTURE.md.`,
                    },
                  ]
                : []),
              { regex: `^[^.]|/(${ROOMS.join('|')})/src/`, message: 'core uses nothing but itself.' },
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

const TYPED = [
  'ban-ts-comment',
  'no-array-constructor',
  'no-empty-object-type',
  'no-explicit-any',
  'no-misused-promises',
  'no-namespace',
  'no-require-imports',
  'no-unnecessary-type-assertion',
  'no-unnecessary-type-constraint',
  'no-unsafe-argument',
  'no-unsafe-call',
  'no-unsafe-enum-comparison',
  'no-unsafe-function-type',
  'no-unsafe-member-access',
  'no-unsafe-return',
  'only-throw-error',
  'prefer-promise-reject-errors',
  'require-await',
  'restrict-plus-operands',
];
const PLAIN = [
  'eqeqeq',
  'no-case-declarations',
  'no-empty',
  'no-fallthrough',
  'no-prototype-builtins',
  'no-redeclare',
  'no-regex-spaces',
  'no-unexpected-multiline',
];
const errors = (prefix, names) => Object.fromEntries(names.map((name) => [`${prefix}${name}`, 'error']));
const UNSAFE = ['no-unsafe-member-access', 'no-unsafe-argument', 'no-unsafe-call', 'no-unsafe-return'];

export default {
  plugins: ['eslint', 'typescript', 'react'],
  categories: { correctness: 'error' },
  env: { builtin: true, node: true, browser: true },
  ignorePatterns: [
    '**/dist/**',
    '**/node_modules/**',
    '.idle-data/**',
    'playwright-report/**',
    'test-results/**',
    'fuzz-failures/**',
    '**/*.tmp.mjs',
  ],
  rules: {
    ...errors('', PLAIN),
    ...errors('typescript/', TYPED),
    'typescript/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
    'typescript/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
    'no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_', caughtErrors: 'none' }],
    // Props are declared as methods; none of them uses 'this'.
    'typescript/unbound-method': 'off',
    'typescript/no-misused-promises': ['error', { checksVoidReturn: { attributes: false, arguments: false } }],
    // Letters of a text are what is wanted where one is spread; texts are sorted as texts.
    'typescript/no-misused-spread': 'off',
    'typescript/require-array-sort-compare': 'off',
    'react/rules-of-hooks': 'off',
    'react/exhaustive-deps': 'error',
    // A cell of a table in a tuple has no key.
    'react/jsx-key': 'off',
    // Those of React's compiler, which is not used here.
    'react/preserve-manual-memoization': 'off',
    'react/set-state-in-effect': 'off',
    'react/refs': 'off',
    'react/purity': 'off',
  },
  overrides: [
    {
      files: ['**/*.test.{ts,tsx}', '**/test/**/*.{ts,tsx}', 'e2e/**/*.ts', '**/*.mjs'],
      rules: Object.fromEntries(UNSAFE.map((name) => [`typescript/${name}`, 'off'])),
    },
    { files: ['server/src/database/migrations/**'], rules: { 'typescript/require-await': 'off' } },
    { files: ['web/**/*.{ts,tsx}'], rules: { 'react/rules-of-hooks': 'error' } },
    ...boundaries,
    ...webLayers,
    // Tests of papers, of commands and of the interface tell their sites with the story of the records' tests.
    {
      files: ['web/test/**', 'paper/test/**', 'core/test/**', 'cli/test/**'],
      rules: { 'no-restricted-imports': 'off' },
    },
    STATEMENTS,
    ...coreLayers,
    {
      files: ['core/src/**/*.test.ts'],
      rules: { 'no-restricted-imports': 'off', 'no-restricted-globals': 'off', 'no-restricted-properties': 'off' },
    },
  ],
};
