import { PLAIN_SEVERITY, ROUND_STEPS, type RoundStep } from '@/core/vocabulary';
import type { Round, RoundCell } from '@/records/rounds';

export type StepCounts = Readonly<Partial<Record<RoundStep, number>>>;

/** How many pieces stand at each step. */
export function stepsOf(cells: readonly RoundCell[]): StepCounts {
  const counts: Partial<Record<RoundStep, number>> = {};
  for (const { step } of cells.flatMap((cell) => cell.pieces)) counts[step] = (counts[step] ?? 0) + 1;
  return counts;
}

/** Whether a round's day has passed with pieces still not read. */
export function isLate({ dueOn }: Pick<Round, 'dueOn'>, steps: StepCounts, today: string): boolean {
  const open = ROUND_STEPS.some((step) => step !== 'read' && steps[step]);
  return open && dueOn !== null && dueOn < today;
}

/** One thing that was seen along a round, and from where on. */
export interface Trend {
  readonly words: string;
}

/**
 * What the tray says read along its rows: for each defect, surface and movement, the first cell of a row from
 * which on most pieces of every read cell show it, when those of the cells before do not; cells whose twins
 * disagree are named.
 *
 * @example trendsOf(ladder) // [{ words: 'crazing up to A3, not from A4 on' }]
 */
export function trendsOf(cells: readonly RoundCell[]): Trend[] {
  const rows = new Map<number, RoundCell[]>();
  for (const cell of cells) {
    if (!cell.pieces.some((piece) => piece.surface || piece.defects.length)) continue;
    rows.set(cell.row, [...(rows.get(cell.row) ?? []), cell]);
  }
  return [...rows.values()].filter((row) => row.length > 2).flatMap(trendsOfRow);
}

function trendsOfRow(row: readonly RoundCell[]): Trend[] {
  const seen = row.map((cell) => cell.pieces.map((piece) => new Set(seenOn(piece))));
  const all = [...new Set(seen.flatMap((cell) => cell.flatMap((set) => [...set])))];
  return all.flatMap((what) => {
    const counts = seen.map((cell) => cell.filter((set) => set.has(what)).length);
    const has = counts.map((count, i) => count * 2 > seen[i]!.length);
    const turn = has.findIndex((one, i) => i > 0 && one !== has[0]);
    if (turn === -1 || has.slice(turn).some((one) => one === has[0])) return [];
    const [before, after] = [row[turn - 1]!.label, row[turn]!.label];
    const words = has[0] ? `${what} up to ${before}, not from ${after} on` : `${what} from ${after} on`;
    const but = row.flatMap(({ label }, i) =>
      counts[i]! > 0 && counts[i]! < seen[i]!.length ? [`${label} ${counts[i]} of ${seen[i]!.length}`] : [],
    );
    return [{ words: but.length ? `${words} (but ${but.join(', ')})` : words }];
  });
}

function seenOn({ surface, movement, defects }: RoundCell['pieces'][number]): string[] {
  return [
    ...(surface ? [surface] : []),
    ...(movement && movement !== 'stable' ? [movement] : []),
    ...defects.filter((one) => one.severity >= PLAIN_SEVERITY).map((one) => one.defect),
  ];
}
