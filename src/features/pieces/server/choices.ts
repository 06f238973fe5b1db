import 'server-only';
import { studioNow } from '@/auth';
import { makersFor, type Member } from '@/records/people';
import { listBodies, listGlazes } from '@/records/materials';
import { remindersOf } from '@/records/reminders';
import { listKilns } from '@/records/firings';
import { db, listSeries } from '@/records/platform';
import { formsInUse, listForms, usualOf, usualWays } from '@/records/pieces';
import { withUsualWay } from '../model/draft';

/** What a member may write a piece down with, and what they mostly make: form, clay and series to begin with. */
export async function pieceChoices(member: Member) {
  const [bodies, glazes, makers, usual, studio, series, ways, forms, inUse, kilns, reminders] =
    await Promise.all([
      listBodies(db()),
      listGlazes(db()),
      makersFor(db(), member),
      usualOf(db(), member.id),
      studioNow(),
      listSeries(db()),
      usualWays(db(), member.id),
      listForms(db()),
      formsInUse(db()),
      listKilns(db()),
      remindersOf(db(), 'all'),
    ]);
  // A clay that is used up, or was chosen by nobody where there are several, is no start.
  const clay =
    [usual?.bodyId, studio.bodyId].flatMap((id) => bodies.find((body) => body.id === id) ?? [])[0] ??
    (bodies.length === 1 ? bodies[0] : undefined);
  return {
    bodies: bodies.map(({ id, name, colourOxidation }) => ({ id, name, colour: colourOxidation })),
    glazes: glazes.map((glaze) => withUsualWay(glaze, ways)),
    ...{ makers, forms, inUse, reminders, clay: clay ?? null },
    form: usual?.form ?? studio.form ?? null,
    /** The room of the studio’s kilns. */
    rooms: kilns.map(({ litres, shelfWidthMm, shelfDepthMm, roundShelves }) => ({
      ...{ litres, shelfWidthMm, shelfDepthMm, roundShelves },
    })),
    /** The letters that numbers may have. */
    series: series.map(({ prefix }) => prefix),
    /** Those of the member's last piece. */
    lastSeries: series.find(({ prefix }) => prefix === usual?.series)?.prefix ?? null,
  };
}
