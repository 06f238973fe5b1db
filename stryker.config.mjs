// Mutation tests of one topic of the core by the tests beside it; see bin/mutate.mjs.
const { MUTATE_TOPIC: topic, MUTATE_FILE: file = '*' } = process.env;
const folder = `src/core/${topic}`;

const config = {
  mutate: [`${folder}/**/${file}.ts`, `!${folder}/**/*.test.ts`, `!${folder}/**/index.ts`],
  testRunner: 'jest',
  jest: {
    config: {
      roots: [`<rootDir>/${folder}`],
      setupFilesAfterEnv: [],
      testEnvironment: '@stryker-mutator/jest-runner/jest-env/node',
    },
  },
  coverageAnalysis: 'perTest',
  ignoreStatic: true,
  concurrency: 2,
  timeoutMS: 5000,
  reporters: ['clear-text', 'progress-append-only', 'json'],
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
  jsonReporter: { fileName: 'test-results/mutants.json' },
  ignorePatterns: ['.next', '.jiten', 'docs', 'test-results', 'tests/browser', 'tests/records', 'public'],
  tempDirName: '.mutants',
};

export default config;
