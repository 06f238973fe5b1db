import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { listPatterns } from '@/records/pieces';
import { namedForms } from '@/features/pieces/model/sheet/book';
import { pieceChoices } from '@/features/pieces/server/choices';
import { FirstThings } from '@/features/pieces/ui/FirstThings';
import { SheetView } from '@/features/pieces/ui/sheet/SheetView';

export const metadata = { title: 'Sheet of pieces' };

export default async function Page() {
  const member = await requireMember('/pieces/sheet');
  const [choices, patterns] = await Promise.all([pieceChoices(member), listPatterns(db())]);
  const { bodies, glazes, makers, forms, inUse, clay, form, rooms, series, lastSeries } = choices;
  if (bodies.length === 0 || glazes.length === 0)
    return <FirstThings bodies={bodies.length} glazes={glazes.length} />;
  return (
    <SheetView
      {...{ bodies, glazes, makers, patterns, rooms, series, lastSeries }}
      forms={namedForms(forms, inUse)}
      start={{ form: form ?? '', clay: clay?.name ?? '' }}
    />
  );
}
