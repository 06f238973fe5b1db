import type { WallEntry } from '@/records/dictionary';

/** A cell of the matrix: the entries of one base and one top glaze on the two grounds. */
export interface WallCell {
  readonly baseId: string;
  readonly topId: string;
  /** By ground (left, right), the top glaze once and twice; null where not tried. */
  readonly quarters: readonly { readonly once: WallEntry | null; readonly twice: WallEntry | null }[];
  readonly headwordId: string | null;
  readonly worst: WallEntry | null;
  readonly proofs: number;
  readonly agreeing: number;
}

/** Key of a cell in a map and in the address. */
export function cellKey(baseId: string, topId: string): string {
  return `${baseId}.${topId}`;
}

/**
 * Sorts the entries of a wall into cells. Of several numbers of coats, once is the fewest and twice the
 * next more on the thinnest base; singles stand on the diagonal.
 */
export function cellsOf(entries: readonly WallEntry[], grounds: readonly string[]): Map<string, WallCell> {
  const byCell = new Map<string, WallEntry[]>();
  for (const entry of entries) {
    const key = cellKey(entry.baseId, entry.topId);
    byCell.set(key, [...(byCell.get(key) ?? []), entry]);
  }
  return new Map([...byCell].map(([key, own]) => [key, cellOf(own, grounds)]));
}

function cellOf(own: readonly WallEntry[], grounds: readonly string[]): WallCell {
  const { baseId, topId } = own[0]!;
  const ranked = [...own].sort(
    (a, b) => a.baseTimes - b.baseTimes || a.topTimes - b.topTimes || b.proofs - a.proofs,
  );
  const quarters = grounds.map((ground) => {
    const here = ranked.filter((entry) => entry.groundId === ground);
    return {
      once: here.find((entry) => entry.topTimes === 1) ?? null,
      twice: here.find((entry) => entry.topTimes >= 2) ?? null,
    };
  });
  const shown = quarters.flatMap(({ once, twice }) => [once, twice]).filter((entry) => entry !== null);
  const worst = [...shown].sort((a, b) => (b.worstSeverity ?? 0) - (a.worstSeverity ?? 0))[0];
  const most = [...shown].sort((a, b) => b.proofs - a.proofs)[0];
  return {
    baseId,
    topId,
    quarters,
    headwordId: own[0]!.headwordId,
    worst: worst?.worstDefect ? worst : null,
    proofs: most?.proofs ?? 0,
    agreeing: most?.agreeing ?? 0,
  };
}

/** The four quarters as flat colours, as a background, for cells too small for pictures. */
export function quartersOf({ quarters }: WallCell): string {
  const half = (i: number, side: string) => {
    const [top, low] = [quarters[i]?.twice?.colour, quarters[i]?.once?.colour].map(
      (one) => one ?? 'var(--bare)',
    );
    return `linear-gradient(${top} 50%, ${low} 50%) ${side} / ${100 / quarters.length}% 100% no-repeat`;
  };
  return quarters.map((_, i) => half(i, i === 0 ? 'left' : 'right')).join(', ');
}
