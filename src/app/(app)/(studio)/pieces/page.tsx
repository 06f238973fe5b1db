import { requireMember } from '@/auth';
import { listFirings } from '@/records/firings';
import { listRounds } from '@/records/rounds';
import { groupsSeenBy, hasRole, makersFor } from '@/records/people';
import { listBodies, listGlazes } from '@/records/materials';
import { db } from '@/records/platform';
import { listOrders, listPieces, usualWays } from '@/records/pieces';
import { PieceTable } from '@/features/pieces/ui/PieceTable';
import { toPutOn } from '@/features/pieces/model/several';
import { withUsualWay } from '@/features/pieces/model/draft';
import { PAGE_SIZE, readQuery } from '@/features/pieces/model/query';

export const metadata = { title: 'Pieces' };

export default async function Page({ searchParams }: { searchParams: Promise<Record<string, string>> }) {
  const member = await requireMember('/pieces');
  const { filter, page } = readQuery(await searchParams);
  const [{ rows, total }, bodies, glazes, makers, orders, rounds, firings, groups, ways] = await Promise.all([
    listPieces(db(), { ...filter, offset: page * PAGE_SIZE, limit: PAGE_SIZE }),
    listBodies(db()),
    listGlazes(db()),
    makersFor(db(), member),
    listOrders(db(), { isOpen: true }),
    listRounds(db()),
    listFirings(db(), { limit: 60 }),
    groupsSeenBy(db(), member),
    usualWays(db(), member.id),
  ]);
  const named = (list: readonly { id: string; name: string }[]) => list.map(({ id, name }) => ({ id, name }));
  return (
    <PieceTable
      rows={rows}
      total={total}
      page={page}
      pageSize={PAGE_SIZE}
      sort={{ field: filter.sort!, order: filter.order! }}
      bodies={named(bodies)}
      glazes={glazes.map((glaze) => toPutOn(withUsualWay(glaze, ways)))}
      makers={makers}
      orders={named(orders)}
      rounds={named(rounds)}
      firings={firings.map(({ id, kilnName, number }) => ({ id, name: `${kilnName} ${number}` }))}
      groups={named(groups)}
      memberId={member.id}
      mayTeach={hasRole(member.role, 'teacher')}
    />
  );
}
