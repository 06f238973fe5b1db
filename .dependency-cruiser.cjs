/** Floors of the house: imports only go down (docs/architecture.md). */
const floors = ['app', 'features', 'ui', 'auth', 'kiln-poller', 'records', 'simulator', 'workers', 'core'];

const down = floors.slice(1).map((floor, i) => ({
  name: `${floor}-looks-up`,
  severity: 'error',
  // A test may reach up: the stand-in kilns are tried through the driver that will use them.
  from: { path: `^src/${floor}/`, pathNot: '\\.test\\.ts$' },
  to: { path: floors.slice(0, i + 1).map((above) => `^src/${above}/`) },
}));

// Forms check with the schemas that the server checks with.
const browserCode = '^src/((ui|workers|features/[^/]+/(ui|model))/|features/[^/]+/\\w*[sS]chema\\.ts)';

module.exports = {
  forbidden: [
    ...down,
    { name: 'no-circles', severity: 'error', from: { path: '^src' }, to: { circular: true, dependencyTypesNot: ['type-only'] } },
    { name: 'core-is-pure', severity: 'error', from: { path: '^src/core/', pathNot: '\\.test\\.ts$' }, to: { path: ['^react', 'node_modules/(react|next|knex|mysql2|sharp|@mui)/'], dependencyTypesNot: ['type-only'] } },
    { name: 'core-without-node', severity: 'error', from: { path: '^src/core/', pathNot: '\\.test\\.ts$' }, to: { dependencyTypes: ['core'] } },
    { name: 'core-by-its-face', severity: 'error', from: { path: '^src/(app|features|ui|auth|kiln-poller|records|simulator)/' }, to: { path: '^src/core/[^/]+/', pathNot: '^src/core/[^/]+/index\\.ts$' } },
    { name: 'records-by-their-face', severity: 'error', from: { path: '^src/(app|features|ui|auth|kiln-poller|simulator)/' }, to: { path: '^src/records/[^/]+/', pathNot: '^src/records/[^/]+/index\\.ts$' } },
    {
      name: 'features-by-their-face',
      comment: 'A feature is used by its index.ts, on the server also by its server/index.ts.',
      severity: 'error',
      from: { path: '^src/features/([^/]+)/' },
      to: { path: '^src/features/(?!shared/)[^/]+/', pathNot: ['^src/features/$1/', '^src/features/[^/]+/(server/)?index\\.ts$'] },
    },
    { name: 'sql-only-in-records', severity: 'error', from: { path: '^src/', pathNot: '^src/records/' }, to: { path: 'node_modules/(knex|mysql2)/', dependencyTypesNot: ['type-only'] } },
    {
      name: 'no-server-in-the-browser',
      comment: 'What runs in the browser takes types from the records and from server parts, never values.',
      severity: 'error',
      from: { path: browserCode, pathNot: '\\.test\\.tsx?$' },
      to: { path: ['^src/records/', '^src/features/[^/]+/server/'], dependencyTypesNot: ['type-only'] },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'require', 'node', 'default'] },
  },
};
