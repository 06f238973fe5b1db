import { requireMember } from '@/auth';
import { hasRole } from '@/records/people';
import { db } from '@/records/platform';
import { listOrders, listPatterns } from '@/records/pieces';
import { namedForms } from '@/features/pieces/model/sheet/book';
import { pieceChoices } from '@/features/pieces/server/choices';
import { FirstThings } from '@/features/pieces/ui/FirstThings';
import { SheetView } from '@/features/pieces/ui/sheet/SheetView';

export const metadata = { title: 'Sheet of pieces' };

interface Asked {
  readonly searchParams: Promise<{ order?: string }>;
}

export default async function Page({ searchParams }: Asked) {
  const member = await requireMember('/pieces/sheet');
  const [choices, patterns, open, { order }] = await Promise.all([
    ...([pieceChoices(member), listPatterns(db()), listOrders(db(), { isOpen: true })] as const),
    searchParams,
  ]);
  const { bodies, glazes, makers, forms, inUse, clay, form, rooms, series, lastSeries, reminders } = choices;
  if (bodies.length === 0 || glazes.length === 0)
    return <FirstThings bodies={bodies.length} glazes={glazes.length} />;
  return (
    <SheetView
      {...{ bodies, glazes, makers, patterns, rooms, series, lastSeries, reminders }}
      forms={namedForms(forms, inUse)}
      orders={open.map(({ id, name }) => ({ id, name }))}
      orderId={open.find(({ id }) => id === order)?.id ?? null}
      mayTeach={hasRole(member.role, 'teacher')}
      start={{ form: form ?? '', clay: clay?.name ?? '' }}
    />
  );
}
