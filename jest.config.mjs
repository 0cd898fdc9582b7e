import { bundledRooms } from './scripts/bundledRooms.mjs';

// ES modules through swc; one project a room. Server tests run on a real PostgreSQL (see ./test).
const swc = [
  '@swc/jest',
  {
    jsc: {
      parser: { syntax: 'typescript', tsx: true },
      target: 'es2022',
      transform: { react: { runtime: 'automatic' } },
    },
    module: { type: 'es6' },
  },
];

const rooms = bundledRooms();

const project = (room, environment = 'node', extra = {}) => ({
  displayName: room,
  rootDir: `<rootDir>/${room}`.replace('<rootDir>', import.meta.dirname),
  testEnvironment: environment,
  testMatch: ['<rootDir>/{src,test}/**/*.test.{ts,tsx}'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: { '^.+\\.tsx?$': swc },
  moduleNameMapper: {
    '\\.(css|woff2)(\\?url)?$': `${import.meta.dirname}/scripts/empty-module.mjs`,
    // Another room is one module: putting its hundred files together anew for every file of tests took longer than the
    // tests.
    ...Object.fromEntries(Object.entries(rooms).map(([name, file]) => [`^@idle-marker/${name}$`, file])),
  },
  ...extra,
});

export default {
  // A page without a browser is slow to search by role on a busy machine; nothing here measures time.
  testTimeout: 180_000,
  // Two cores are the least that the tests are made for; by itself it would leave one of them idle.
  maxWorkers: 2,
  projects: [
    ...['core', 'words', 'contract', 'records', 'paper', 'press', 'archive', 'formats', 'cli', 'server'].map((room) =>
      project(room),
    ),
    project('web', 'jsdom', { setupFiles: [`${import.meta.dirname}/web/test/browser.mjs`] }),
  ],
};
