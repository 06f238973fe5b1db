// Writes rows one by one to a private database, kills it with SIGKILL in the middle, starts it again on the
// same folder, and says how many acknowledged rows are still there: "acknowledged A, kept K".
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createConnection } from 'mysql2/promise';
import { startDatabase } from '../../bin/lib/database.mjs';

const folder = mkdtempSync(join(tmpdir(), 'jiten-durable-'));
const first = await startDatabase(folder);
const writer = await createConnection(first.url);
writer.on('error', () => {});
await writer.query('create table kept (n int primary key) engine=innodb');
let acknowledged = 0;
setTimeout(() => process.kill(first.pid, 'SIGKILL'), 700);
try {
  for (let n = 1; ; n++) {
    await writer.query('insert into kept values (?)', [n]);
    acknowledged = n;
  }
} catch {
  // Killed: what was acknowledged until now must be there after a restart.
}
const second = await startDatabase(folder);
const reader = await createConnection(second.url);
const [[row]] = await reader.query('select count(*) as kept from kept where n <= ?', [acknowledged]);
await reader.end();
await second.stop();
rmSync(folder, { recursive: true, force: true });
console.log(`acknowledged ${acknowledged}, kept ${row.kept}`);
process.exit(0);
