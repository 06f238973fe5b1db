import { memberOfPage } from '@/door';
import { listBodies } from '@/records/bodies';
import { db } from '@/records/db';
import { listGlazes } from '@/records/glazes';
import { listPieces } from '@/records/piecePages';
import { PieceTable } from '@/screens/pieces/PieceTable';
import { PAGE_SIZE, readQuery } from '@/screens/pieces/query';

export const metadata = { title: 'Pieces' };

export default async function Page({ searchParams }: { searchParams: Promise<Record<string, string>> }) {
  await memberOfPage();
  const { filter, page } = readQuery(await searchParams);
  const [{ rows, total }, bodies, glazes] = await Promise.all([
    listPieces(db(), { ...filter, offset: page * PAGE_SIZE, limit: PAGE_SIZE }),
    listBodies(db()),
    listGlazes(db()),
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
      glazes={named(glazes)}
    />
  );
}
