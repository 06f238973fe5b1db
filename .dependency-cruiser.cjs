/** Floors of the house: imports only go down. */
const floors = ['app', 'screens', 'ui', 'door', 'collector', 'records', 'simulator', 'workers', 'core'];

const down = floors.slice(1).map((floor, i) => ({
  name: `${floor}-looks-up`,
  severity: 'error',
  // A test may reach up: the stand-in kilns are tried through the driver that will use them.
  from: { path: `^src/${floor}/`, pathNot: '\\.test\\.ts$' },
  to: { path: floors.slice(0, i + 1).map((above) => `^src/${above}/`) },
}));

module.exports = {
  forbidden: [
    ...down,
    { name: 'no-circles', severity: 'error', from: { path: '^src' }, to: { circular: true, dependencyTypesNot: ['type-only'] } },
    { name: 'core-is-pure', severity: 'error', from: { path: '^src/core/', pathNot: '\\.test\\.ts$' }, to: { path: ['^react', 'node_modules/(react|next|knex|mysql2|sharp|@mui)/'], dependencyTypesNot: ['type-only'] } },
    { name: 'core-without-node', severity: 'error', from: { path: '^src/core/', pathNot: '\\.test\\.ts$' }, to: { dependencyTypes: ['core'] } },
    { name: 'core-by-its-face', severity: 'error', from: { path: '^src/(app|screens|ui|door|collector|records|simulator)/' }, to: { path: '^src/core/[^/]+/', pathNot: '^src/core/[^/]+/index\\.ts$' } },
    { name: 'sql-only-in-records', severity: 'error', from: { path: '^src/', pathNot: '^src/records/' }, to: { path: 'node_modules/(knex|mysql2)/' } },
    { name: 'no-records-in-the-browser', severity: 'error', from: { path: '^src/ui/' }, to: { path: '^src/records/', dependencyTypesNot: ['type-only'] } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'require', 'node', 'default'] },
  },
};
