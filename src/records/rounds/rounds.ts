import type { Form } from '@/core/coats';
import type { Line } from '@/core/chemistry';
import type { Fate } from '@/core/evidence';
import type { CellLayer, RoundStep } from '@/core/rounds';
import { recordChange } from '@/records/platform/changes';
import type { CoatDraft } from '@/records/pieces/coats';
import { fromJson, inTransaction, newId, type Db } from '@/records/platform/db';
import { defectsOf } from '@/records/dictionary/entries';
import { NotFound, Refusal } from '@/records/platform/errors';

import { correctPiece, savePieces } from '@/records/pieces/pieces';
import { piecesById } from '@/records/pieces/piecePages';

/** One test as it is laid out. Glazes of `stack` are ids; with a recipe and no stack it is a new test glaze. */
export interface CellDraft {
  readonly label: string;
  readonly row: number;
  readonly column: number;
  readonly words: string;
  readonly parts: Readonly<Record<string, number>>;
  readonly recipe: readonly Line[] | null;
  readonly stack: readonly CellLayer[] | null;
  readonly bodyId: string;
}

export interface RoundDraft {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
  /** What was asked for, as the page that made it understands it. */
  readonly setup: unknown;
  readonly shape: 'grid' | 'triangle';
  readonly rows: number;
  readonly columns: number;
  readonly form: Form;
  readonly heightMm: number;
  readonly widthMm: number;
  readonly twins: number;
  readonly cone: string;
  readonly atmosphere: 'oxidation' | 'neutral' | 'reduction';
  /** "YYYY-MM-DD", or null. */
  readonly dueOn: string | null;
  /** Colour the test glazes are drawn in until they are fired. */
  readonly colour: string;
  /** Refuse what a round under way tests already: for suggestions, which two people may accept at once. */
  readonly unlessUnderWay: boolean;
  readonly cells: readonly CellDraft[];
}

/**
 * Lays a round out: its cells, a test glaze with its recipe for each cell that is a new mixture, and all its
 * pieces with their numbers, as one transaction. The same id twice is one round.
 *
 * @returns the number of the round
 */
export async function saveRound(base: Db, memberId: string, draft: RoundDraft): Promise<number> {
  return inTransaction(base, async (trx) => {
    // The lock comes before any other look, so that what is read then includes a round laid out meanwhile.
    await trx('series').forUpdate().first('next');
    const known = await trx('round').where({ id: draft.id }).first('number');
    if (known) return known.number;
    const [{ last }] = (await trx('round').max('number as last')) as [{ last: number | null }];
    const number = (last ?? 0) + 1;
    if (draft.unlessUnderWay) await refuseUnderWay(trx, draft);
    await trx('round').insert({
      id: draft.id,
      number,
      name: draft.name,
      kind: draft.kind,
      setup: JSON.stringify(draft.setup),
      shape: draft.shape,
      rows_count: draft.rows,
      columns_count: draft.columns,
      form: draft.form,
      height_mm: draft.heightMm,
      width_mm: draft.widthMm,
      twins: draft.twins,
      cone: draft.cone,
      atmosphere: draft.atmosphere,
      due_on: draft.dueOn,
      member_id: memberId,
      created_at: new Date(),
    });
    for (const cell of draft.cells) await addCell(trx, memberId, draft, number, cell);
    await recordChange(trx, memberId, 'round', draft.id, null, {
      number,
      name: draft.name,
      cells: draft.cells.length,
    });
    return number;
  });
}

async function addCell(trx: Db, memberId: string, round: RoundDraft, number: number, cell: CellDraft) {
  const id = newId();
  const stack = cell.stack ?? [
    { glaze: await addTestGlaze(trx, memberId, round, `R${number} ${cell.label}`, cell), times: 1 },
  ];
  await trx('round_cell').insert({
    id,
    round_id: round.id,
    label: cell.label,
    row_at: cell.row,
    column_at: cell.column,
    words: cell.words,
    parts: JSON.stringify(cell.parts),
    recipe: cell.recipe ? JSON.stringify(cell.recipe) : null,
    stack: JSON.stringify(stack),
    body_id: cell.bodyId,
  });
  const pieces = await savePieces(
    trx,
    memberId,
    {
      form: round.form,
      heightMm: round.heightMm,
      widthMm: round.widthMm,
      bodyId: cell.bodyId,
      split: false,
      note: `Round ${number}, ${cell.label}: ${cell.words}`,
      coats: [],
    },
    Array.from({ length: round.twins }, newId),
  );
  await trx('piece')
    .whereIn(
      'id',
      pieces.map((piece) => piece.id),
    )
    .update({ round_cell_id: id });
}

async function addTestGlaze(trx: Db, memberId: string, round: RoundDraft, name: string, cell: CellDraft) {
  if (!cell.recipe) throw new Refusal('cells', `${cell.label} is a blend, and a glaze in it has no recipe.`);
  const id = newId();
  const row = { name: `${name} ${cell.words}`.slice(0, 120), kind: 'glaze', colour: round.colour };
  await trx('glaze').insert({ id, ...row, opaque: false, advice: '', caution: '', round_id: round.id });
  await trx('glaze_version').insert({
    id: newId(),
    glaze_id: id,
    number: 1,
    recipe: JSON.stringify(cell.recipe),
    note: cell.words,
    created_at: new Date(),
    member_id: memberId,
  });
  await recordChange(trx, memberId, 'glaze', id, null, row);
  return id;
}

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
  readonly kind: string;
  readonly shape: 'grid' | 'triangle';
  readonly rows: number;
  readonly columns: number;
  readonly form: Form;
  readonly heightMm: number;
  readonly widthMm: number;
  readonly twins: number;
  readonly cone: string;
  readonly atmosphere: string;
  readonly dueOn: Date | null;
  readonly by: string;
  readonly createdAt: Date;
}

function roundOf(row: Record<string, unknown>): Round {
  return {
    id: row.id as string,
    number: row.number as number,
    name: row.name as string,
    kind: row.kind as string,
    shape: row.shape as Round['shape'],
    rows: row.rows_count as number,
    columns: row.columns_count as number,
    form: row.form as Form,
    heightMm: row.height_mm as number,
    widthMm: row.width_mm as number,
    twins: row.twins as number,
    cone: row.cone as string,
    atmosphere: row.atmosphere as string,
    dueOn: row.due_on as Date | null,
    by: row.by as string,
    createdAt: row.created_at as Date,
  };
}

function roundRows(base: Db) {
  return base('round as r')
    .join('member as m', 'm.id', 'r.member_id')
    .whereNull('r.ended_at')
    .select('r.*', 'm.name as by');
}

/** A round with how many of its pieces stand at each step, newest first. */
export interface RoundSummary extends Round {
  readonly steps: Readonly<Partial<Record<RoundStep, number>>>;
}

/** All rounds with their progress. */
export async function listRounds(base: Db): Promise<RoundSummary[]> {
  const rounds = await roundRows(base).orderBy('r.number', 'desc');
  const counts = await base('piece as p')
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

/** The cells of a round with their pieces and what was read on them, in tray order. @throws NotThere */
export async function roundPage(
  base: Db,
  id: string,
): Promise<{ round: Round; cells: readonly RoundCell[] }> {
  const row = await roundRows(base).where('r.id', id).first();
  if (!row) throw new NotFound('This round');
  const cells = await base('round_cell as c')
    .join('body as b', 'b.id', 'c.body_id')
    .where('c.round_id', id)
    .orderBy(['c.row_at', 'c.column_at'])
    .select('c.*', 'b.name as body');
  const steps = await base('piece as p')
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
    (await base('glaze').select('id', 'name', 'colour')).map((glaze) => [glaze.id as string, glaze]),
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
  const rows = await base('entry as e')
    .join('ground as g', 'g.id', 'e.ground_id')
    .join('headword as h', 'h.id', 'e.headword_id')
    .where({ 'e.firings': 1 })
    .where('e.proofs', '>', 0)
    .whereBetween('h.depth', [1, 2])
    .whereRaw('json_length(g.slips) = 0')
    .select('g.body_id', 'e.cone', 'e.atmosphere', 'e.stack', 'e.proofs', 'e.agreeing', 'e.swatch_hash');
  return rows.flatMap((row) => {
    const layers = fromJson<{ glaze: string; times: number; way?: string; mark?: string }[]>(row.stack);
    if (layers.some((layer) => layer.way === 'brushed' || layer.mark)) return [];
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
  const rows = await base('round_cell as c')
    .join('round as r', 'r.id', 'c.round_id')
    .join('piece as p', 'p.round_cell_id', 'c.id')
    .whereNull('r.ended_at')
    .whereNull('c.recipe')
    .whereNot('p.stage', 'read')
    .select('c.body_id', 'r.cone', 'r.atmosphere', 'c.stack', 'r.number', 'r.name');
  return rows.map((row) => ({
    bodyId: row.body_id,
    cone: row.cone,
    atmosphere: row.atmosphere,
    stack: fromJson<CellLayer[]>(row.stack),
    round: `round ${row.number}, ${row.name}`,
  }));
}

/** @throws Refusal naming the round that tests one of the cells already */
async function refuseUnderWay(trx: Db, draft: RoundDraft): Promise<void> {
  const coming = await comingStacks(trx);
  for (const cell of draft.cells) {
    const same = coming.find(
      (one) =>
        one.bodyId === cell.bodyId &&
        one.cone === draft.cone &&
        one.atmosphere === draft.atmosphere &&
        JSON.stringify(one.stack) === JSON.stringify(cell.stack),
    );
    if (same)
      throw new Refusal('cells', `${cell.words} is in ${same.round} already. Ask for the list again.`);
  }
}

/** How far from the foot the coats of a test begin, so that nothing runs onto the shelf. */
const OFF_THE_FOOT = 0.1;

/**
 * Notes that the pieces of these cells were glazed as planned; pieces that have coats already are left alone.
 *
 * @returns how many were glazed
 */
export async function glazeCells(base: Db, memberId: string, cellIds: readonly string[]): Promise<number> {
  return inTransaction(base, async (trx) => {
    const rows = await trx('piece as p')
      .join('round_cell as c', 'c.id', 'p.round_cell_id')
      .whereIn('c.id', cellIds)
      .whereNotExists(trx('coat as k').whereRaw('k.piece_id = p.id').whereNull('k.ended_at'))
      .select('p.id', 'c.stack');
    const pieces = await piecesById(
      trx,
      rows.map((row) => row.id),
    );
    for (const piece of pieces) {
      const stack = fromJson<CellLayer[]>(rows.find((row) => row.id === piece.id)!.stack);
      const coats = stack.map((layer, i): CoatDraft => ({
        glazeId: layer.glaze,
        batchId: null,
        method: 'dip',
        times: layer.times,
        seconds: null,
        side: 'outside',
        from: OFF_THE_FOOT,
        to: 1,
        dryBefore: i > 0 ? true : null,
        clay: null,
        wiped: false,
        firingId: null,
      }));
      const { form, heightMm, widthMm, bodyId, split, note, version } = piece;
      await correctPiece(trx, memberId, piece.id, version, {
        form,
        heightMm,
        widthMm,
        bodyId,
        split,
        note,
        coats,
      });
    }
    return pieces.length;
  });
}
