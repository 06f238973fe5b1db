import { requireMember, studioNow } from '@/auth';
import { makersFor } from '@/records/people';
import { listBodies, listGlazes } from '@/records/materials';
import { db, listSeries } from '@/records/platform';
import { formsInUse, listForms, listPatterns, usualOf, usualWays } from '@/records/pieces';
import { withUsualWay } from '@/features/pieces/model/draft';
import { namedForms } from '@/features/pieces/model/sheet/book';
import { FirstThings } from '@/features/pieces/ui/FirstThings';
import { SheetView } from '@/features/pieces/ui/sheet/SheetView';

export const metadata = { title: 'Sheet of pieces' };

export default async function Page() {
  const member = await requireMember('/pieces/sheet');
  const [bodies, glazes, makers, usual, studio, series, ways, forms, inUse, patterns] = await Promise.all([
    listBodies(db()),
    listGlazes(db()),
    makersFor(db(), member),
    usualOf(db(), member.id),
    studioNow(),
    listSeries(db()),
    usualWays(db(), member.id),
    listForms(db()),
    formsInUse(db()),
    listPatterns(db()),
  ]);
  if (bodies.length === 0 || glazes.length === 0)
    return <FirstThings bodies={bodies.length} glazes={glazes.length} />;
  // A clay that is used up, or was chosen by nobody where there are several, is no start.
  const clay =
    [usual?.bodyId, studio.bodyId].flatMap((id) => bodies.find((body) => body.id === id) ?? [])[0] ??
    (bodies.length === 1 ? bodies[0] : undefined);
  return (
    <SheetView
      bodies={bodies.map(({ id, name, colourOxidation }) => ({ id, name, colour: colourOxidation }))}
      glazes={glazes.map((glaze) => withUsualWay(glaze, ways))}
      forms={namedForms(forms, inUse)}
      patterns={patterns}
      makers={makers}
      start={{ form: usual?.form ?? studio.form ?? '', clay: clay?.name ?? '' }}
      series={series.map(({ prefix }) => prefix)}
      lastSeries={series.find(({ prefix }) => prefix === usual?.series)?.prefix ?? null}
    />
  );
}
