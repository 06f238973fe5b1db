import { execFileSync } from 'node:child_process';

test('a killed database has every acknowledged write when it is started again', () => {
  const said = execFileSync(process.execPath, ['tests/records/durable.mjs'], {
    encoding: 'utf8',
    timeout: 60_000,
  });
  const [, acknowledged, kept] = said.match(/acknowledged (\d+), kept (\d+)/)!;
  expect(Number(acknowledged)).toBeGreaterThan(20);
  expect(kept).toBe(acknowledged);
}, 60_000);
