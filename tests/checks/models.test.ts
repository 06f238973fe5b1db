import { execFileSync } from 'node:child_process';

// Simulated studios and kilns with known truth, without a published source; `npm run validate` is the long form. In a
// process of its own: simulations are many times slower under Jest.
test('every model keeps its aims on what it is tried on, in the short form', () => {
  const table = execFileSync('npx', ['tsx', 'tests/checks/models/validate.ts', 'short'], {
    encoding: 'utf8',
  });
  expect(table).toMatch(/no aim missed/);
  expect(table.match(/^\|/gm)!.length).toBeGreaterThan(35);
}, 300_000);
