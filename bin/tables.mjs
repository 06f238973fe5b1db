// npm run tables: writes the types of the tables from the schema that the migrations make.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startDatabase } from './lib/database.mjs';
import { haveDebian, haveModules } from './lib/packages.mjs';
import { must } from './lib/run.mjs';

await haveDebian('mariadbd');
await haveModules();
const folder = mkdtempSync(join(tmpdir(), 'jiten-tables-'));
const database = await startDatabase(folder);
try {
  const env = { ...process.env, DATABASE_URL: database.url };
  await must('Writing the tables', 'npx', ['tsx', 'bin/tables.ts'], { env });
} finally {
  await database.stop();
  rmSync(folder, { recursive: true, force: true });
}
