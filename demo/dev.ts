import { connect, migrate } from '@/records/platform';
import { hasMembers } from '@/records/people';
import { fired, fixtureStudio, readAll, tile } from './fixture';

/** Brings the database of `npm run dev` up to date, and puts the fixture studio with one fired load into an empty one. */
async function main(): Promise<void> {
  const base = connect(process.env.DATABASE_URL!);
  try {
    await migrate(base);
    if (await hasMembers(base)) return;
    const studio = await fixtureStudio(base);
    const { firingId } = await fired(studio, [tile(studio), tile(studio)]);
    await readAll(studio, firingId);
  } finally {
    await base.destroy();
  }
}

void main();
