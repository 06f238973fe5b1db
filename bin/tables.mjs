// npm run tables: writes the types of the tables from the schema that the migrations make.
import { rmSync } from 'node:fs';
import { startDatabase } from './lib/database.mjs';
import { haveDebian, haveModules } from './lib/packages.mjs';
import { must } from './lib/run.mjs';
import { throwAwayFolder } from './lib/throwAway.mjs';

await haveDebian('mariadbd');
await haveModules();
const folder = throwAwayFolder('tables');
const database = await startDatabase(folder);
try {
  const env = { ...process.env, DATABASE_URL: database.url };
  await must('Writing the tables', 'npx', ['tsx', 'bin/tables.ts'], { env });
} finally {
  await database.stop();
  rmSync(folder, { recursive: true, force: true });
}
