import { rowsOf } from '@/records/platform/joins';
import type { RoundRow, RoundCellRow } from '@/records/platform/tables';
import { dayOrNull, type Mapping, readRow } from '@/records/platform/mapping';
import type { Fate, RoundStep, RoundKind, RoundForm, Cone, Atmosphere, RoundShape } from '@/core/vocabulary';
import type { Line } from '@/core/chemistry';
import { isWhole, type Stack } from '@/core/coats';
import type { CellLayer } from '@/core/rounds';
import { fromJson, type Db } from '@/records/platform/db';
import { defectsOf } from '@/records/dictionary/entries';
import { NotFound } from '@/records/platform/errors';

import { piecesById } from '@/records/pieces/piecePages';

/** One piece of a round where it stands. */
export interface RoundPiece {
  readonly id: string;
  readonly label: string;
  readonly step: RoundStep;
  readonly fate: Fate | null;
  readonly photoHash: string | null;
  readonly surface: string | null;
  readonly movement: string | null;
  readonly defects: readonly { readonly defect: string; readonly severity: number }[];
}

export interface RoundCell {
  readonly id: string;
  readonly label: string;
  readonly row: number;
  readonly column: number;
  readonly words: string;
  readonly parts: Readonly<Record<string, number>>;
  readonly recipe: readonly Line[] | null;
  readonly stack: readonly (CellLayer & { readonly name: string; readonly colour: string })[];
  readonly body: string;
  readonly pieces: readonly RoundPiece[];
}

export interface Round {
  readonly id: string;
  readonly number: number;
  readonly name: string;
  readonly kind: RoundKind;
  readonly shape: RoundShape;
  readonly rows: number;
  readonly columns: number;
  readonly form: RoundForm;
  readonly heightMm: number;
  readonly widthMm: number;
  readonly twins: number;
  readonly cone: Cone;
  readonly atmosphere: Atmosphere;
  /** "YYYY-MM-DD" */
  readonly dueOn: string | null;
  readonly by: string;
  readonly createdAt: Date;
}

const ROUND: Mapping<Omit<Round, 'by'>, RoundRow> = {
  id: 'id',
  number: 'number',
  name: 'name',
  kind: 'kind',
  shape: 'shape',
  rows: 'rows_count',
  columns: 'columns_count',
  form: 'form',
  heightMm: 'height_mm',
  widthMm: 'width_mm',
  twins: 'twins',
  cone: 'cone',
  atmosphere: 'atmosphere',
  dueOn: dayOrNull('due_on'),
  createdAt: 'created_at',
};

type JoinedRound = RoundRow & { readonly by: string };

function roundOf(row: JoinedRound): Round {
  return { ...readRow(ROUND, row), by: row.by };
}

function roundRows(base: Db) {
  return base('round as r')
    .join('member as m', 'm.id', 'r.member_id')
    .whereNull('r.ended_at')
    .select<JoinedRound[]>('r.*', 'm.name as by');
}

/** A round with how many of its pieces stand at each step, newest first. */
export interface RoundSummary extends Round {
  readonly steps: Readonly<Partial<Record<RoundStep, number>>>;
}

/** All rounds with their progress. */
export async function listRounds(base: Db): Promise<RoundSummary[]> {
  const rounds = await roundRows(base).orderBy('r.number', 'desc');
  const counts: { round_id: string; step: RoundStep; n: number | string }[] = await base('piece as p')
    .join('round_cell as c', 'c.id', 'p.round_cell_id')
    .groupBy('c.round_id', 'step')
    .select('c.round_id', base.raw(`${STEP} as step`), base.raw('count(*) as n'));
  return rounds.map((row) => ({
    ...roundOf(row),
    steps: Object.fromEntries(
      counts.filter((one) => one.round_id === row.id).map(({ step, n }) => [step, Number(n)]),
    ),
  }));
}

/** The step of a piece: its stage, but bisqued once a closed or opened bisque held it. */
const STEP = `if(p.stage in ('made', 'fired', 'read') and not exists (select 1 from coat k where k.piece_id = p.id and k.ended_at is null)
  and exists (select 1 from firing_piece fp join firing f on f.id = fp.firing_id where fp.piece_id = p.id and f.kind = 'bisque'
  and f.state in ('open', 'closed')), 'bisqued', p.stage)`;

/** The cells of a round with their pieces and what was read on them, in tray order. @throws NotFound */
export async function roundPage(
  base: Db,
  id: string,
): Promise<{ round: Round; cells: readonly RoundCell[] }> {
  const row = await roundRows(base).where('r.id', id).first();
  if (!row) throw new NotFound('This round');
  const cells: (RoundCellRow & { readonly body: string })[] = await rowsOf<{ c: 'round_cell'; b: 'body' }>()(
    base('round_cell as c')
      .join('body as b', 'b.id', 'c.body_id')
      .where('c.round_id', id)
      .orderBy(['c.row_at', 'c.column_at']),
    'c.*',
    'b.name as body',
  );
  const steps: { id: string; round_cell_id: string; step: RoundStep }[] = await base('piece as p')
    .join('round_cell as c', 'c.id', 'p.round_cell_id')
    .where('c.round_id', id)
    .orderBy('p.number')
    .select('p.id', 'p.round_cell_id', base.raw(`${STEP} as step`));
  const pieces = new Map(
    (
      await piecesById(
        base,
        steps.map((one) => one.id),
      )
    ).map((piece) => [piece.id, piece]),
  );
  const readings = await base('reading')
    .whereIn('piece_id', [...pieces.keys()])
    .where({ stage: 'after', ended_at: null })
    .orderBy('at', 'desc');
  const defects = await defectsOf(
    base,
    readings.map((one) => one.id),
  );
  const glazes = new Map(
    (await base('glaze').select('id', 'name', 'colour')).map((glaze) => [glaze.id, glaze]),
  );
  const pieceOf = ({ id: pieceId, step }: { id: string; step: RoundStep }): RoundPiece => {
    const { label, fate, photoHash } = pieces.get(pieceId)!;
    const seen = readings.filter((one) => one.piece_id === pieceId);
    const worst = new Map<string, number>();
    for (const one of seen.flatMap((reading) => defects.get(reading.id) ?? []))
      worst.set(one.defect, Math.max(worst.get(one.defect) ?? 0, one.severity));
    return {
      id: pieceId,
      label,
      step,
      fate,
      photoHash,
      surface: seen.find((one) => one.surface)?.surface ?? null,
      movement: seen.find((one) => one.movement)?.movement ?? null,
      defects: [...worst].map(([defect, severity]) => ({ defect, severity })),
    };
  };
  return {
    round: roundOf(row),
    cells: cells.map((cell) => ({
      id: cell.id,
      label: cell.label,
      row: cell.row_at,
      column: cell.column_at,
      words: cell.words,
      parts: fromJson(cell.parts),
      recipe: cell.recipe === null ? null : fromJson<Line[]>(cell.recipe),
      stack: fromJson<CellLayer[]>(cell.stack).map((layer) => ({
        ...layer,
        name: glazes.get(layer.glaze)?.name ?? '?',
        colour: glazes.get(layer.glaze)?.colour ?? '#888888',
      })),
      body: cell.body,
      pieces: steps.filter((one) => one.round_cell_id === cell.id).map(pieceOf),
    })),
  };
}

/** What the dictionary holds of a stack on a bare body, to be set against what a round would test. */
export interface KnownStack {
  readonly bodyId: string;
  readonly cone: string;
  readonly atmosphere: string;
  readonly stack: readonly CellLayer[];
  readonly proofs: number;
  readonly agreeing: number;
  readonly swatchHash: string | null;
}

/** Every dipped stack on a bare body that has proofs, once fired. */
export async function knownStacks(base: Db): Promise<KnownStack[]> {
  const rows = await rowsOf<{ e: 'entry'; g: 'ground' }>()(
    base('entry as e')
      .join('ground as g', 'g.id', 'e.ground_id')
      .join('headword as h', 'h.id', 'e.headword_id')
      .where({ 'e.firings': 1 })
      .where('e.proofs', '>', 0)
      .whereBetween('h.depth', [1, 2])
      .whereRaw('json_length(g.slips) = 0'),
    'g.body_id',
    'e.cone',
    'e.atmosphere',
    'e.stack',
    'e.proofs',
    'e.agreeing',
    'e.swatch_hash',
  );
  return rows.flatMap((row) => {
    const layers = fromJson<Stack>(row.stack);
    if (layers.some((layer) => layer.way !== 'dipped' || !isWhole(layer))) return [];
    return {
      bodyId: row.body_id,
      cone: row.cone,
      atmosphere: row.atmosphere,
      stack: layers.map(({ glaze, times }) => ({ glaze, times })),
      proofs: row.proofs,
      agreeing: row.agreeing,
      swatchHash: row.swatch_hash,
    };
  });
}

/** A stack that a round under way will prove. */
export interface ComingStack {
  readonly bodyId: string;
  readonly cone: string;
  readonly atmosphere: string;
  readonly stack: readonly CellLayer[];
  readonly round: string;
}

/** The stacks of existing glazes that rounds under way will prove, one a piece that is still to be read. */
export async function comingStacks(base: Db): Promise<ComingStack[]> {
  const rows = await rowsOf<{ c: 'round_cell'; r: 'round' }>()(
    base('round_cell as c')
      .join('round as r', 'r.id', 'c.round_id')
      .join('piece as p', 'p.round_cell_id', 'c.id')
      .whereNull('r.ended_at')
      .whereNull('c.recipe')
      .whereNot('p.stage', 'read'),
    'c.body_id',
    'r.cone',
    'r.atmosphere',
    'c.stack',
    'r.number',
    'r.name',
  );
  return rows.map((row) => ({
    bodyId: row.body_id,
    cone: row.cone,
    atmosphere: row.atmosphere,
    stack: fromJson<CellLayer[]>(row.stack),
    round: `round ${row.number}, ${row.name}`,
  }));
}
