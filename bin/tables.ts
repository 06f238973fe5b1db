import { writeFileSync } from 'node:fs';
import { connect, migrate, tablesSource } from '@/records/platform';

/** Writes the row types of the migrated schema; `npm run tables` gives it a private database to look at. */
async function main(): Promise<void> {
  const base = connect(process.env.DATABASE_URL!);
  try {
    await migrate(base);
    writeFileSync('src/records/platform/tables.ts', await tablesSource(base));
  } finally {
    await base.destroy();
  }
}

void main();
