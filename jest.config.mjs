/** Unit tests stand beside their files; checks and records tests under tests/. */
const config = {
  testEnvironment: 'node',
  roots: ['<rootDir>/src', '<rootDir>/tests', '<rootDir>/demo'],
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
          target: 'es2022',
        },
      },
    ],
  },
  transformIgnorePatterns: ['/node_modules/(?!culori|ulid)'],
  moduleNameMapper: {
    '\\.css$|^server-only$': '<rootDir>/tests/emptyModule.ts',
    '^@/(.*)$': '<rootDir>/src/$1',
  },
  testPathIgnorePatterns: ['/tests/browser/'],
  setupFilesAfterEnv: ['<rootDir>/tests/records/everyWriteIsNoted.ts'],
  testTimeout: 120_000,
};

export default config;
