import { auditDictionary } from '@/records/dictionary';
import { connect } from '@/records/platform';

/** npm run audit: counts the dictionary again, straight from pieces and readings, and says where it differs. */
async function main(): Promise<void> {
  const base = connect(process.env.DATABASE_URL!);
  try {
    const { zones, entries, differences } = await auditDictionary(base);
    for (const words of differences) console.log(words);
    console.log(`${zones} zones, ${entries} entries, ${differences.length} differences`);
    if (differences.length > 0) process.exitCode = 1;
  } finally {
    await base.destroy();
  }
}

void main();
