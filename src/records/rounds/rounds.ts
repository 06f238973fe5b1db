import { rowsOf } from '@/records/platform/joins';
import { comingStacks, type Round } from './roundPages';
import type { Line } from '@/core/chemistry';
import {
  coatsOfStack,
  entriesOfCell,
  MIXTURE,
  usualBand,
  type CellLayer,
  type FiringTarget,
} from '@/core/rounds';
import type { Profile, Texture } from '@/core/vocabulary';
import { glazeKinds } from '@/records/materials/glazes';
import { recordChange } from '@/records/platform/changes';
import { PLAIN_COAT, PLAIN_PIECE } from '@/core/coats';
import type { CoatDraft } from '@/records/pieces/coats';
import { fromJson, inTransaction, newId, type Db } from '@/records/platform/db';
import { found, Refusal } from '@/records/platform/errors';

import { addFirstVersion } from '@/records/materials/glazes';
import { correctPiece, savePieces } from '@/records/pieces/pieces';
import { piecesById } from '@/records/pieces/piecePages';

/** One test as it is laid out. Glazes of `stack` are ids; with a recipe it is a new test glaze, MIXTURE in the stack. */
export interface CellDraft extends FiringTarget {
  readonly label: string;
  readonly row: number;
  readonly column: number;
  readonly words: string;
  readonly parts: Readonly<Record<string, number>>;
  readonly recipe: readonly Line[] | null;
  readonly stack: readonly CellLayer[] | null;
  readonly bodyId: string;
  /** What is done to the clay; null for nothing. */
  readonly texture: Texture | null;
  /** Which part of the round it is in, counted from 0. */
  readonly block: number;
}

export interface RoundDraft extends Omit<Round, 'number' | 'profile' | 'dueOn' | 'by' | 'createdAt'> {
  /** What was asked for, as the page that made it understands it. */
  readonly setup: unknown;
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
    const own =
      draft.formId === null
        ? null
        : found(await trx('form').where({ id: draft.formId }).first('profile'), 'This form');
    const profile = own && fromJson<Profile>(own.profile);
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
      form_id: draft.formId,
      profile: profile && JSON.stringify(profile),
      height_mm: draft.heightMm,
      width_mm: draft.widthMm,
      twins: draft.twins,
      cone: draft.cone,
      atmosphere: draft.atmosphere,
      due_on: draft.dueOn,
      member_id: memberId,
      created_at: new Date(),
    });
    const mixtures = new Map<string, string>();
    for (const cell of draft.cells)
      await addCell(trx, memberId, { ...draft, number, profile }, cell, mixtures);
    await recordChange(trx, memberId, 'round', draft.id, null, {
      number,
      name: draft.name,
      cells: draft.cells.length,
    });
    return number;
  });
}

/**
 * Adds a cell with its pieces.
 *
 * @param mixtures test glazes of this round by what is mixed: the same on all its parts
 */
async function addCell(
  trx: Db,
  memberId: string,
  round: RoundDraft & Pick<Round, 'number' | 'profile'>,
  cell: CellDraft,
  mixtures: Map<string, string>,
) {
  const id = newId();
  const layers = cell.stack ?? [{ glaze: MIXTURE, times: 1 }];
  const stack: CellLayer[] = [];
  for (const layer of layers) {
    if (layer.glaze !== MIXTURE) stack.push(layer);
    else {
      const mixture = JSON.stringify(cell.recipe);
      const glaze =
        mixtures.get(mixture) ??
        (await addTestGlaze(trx, memberId, round, `R${round.number} ${cell.label}`, cell));
      mixtures.set(mixture, glaze);
      stack.push({ ...layer, glaze });
    }
  }
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
    block_at: cell.block,
    texture: cell.texture,
    cone: cell.cone,
    atmosphere: cell.atmosphere,
  });
  await savePieces(
    trx,
    memberId,
    {
      ...PLAIN_PIECE,
      form: round.form,
      formId: round.formId,
      profile: round.profile,
      heightMm: round.heightMm,
      widthMm: round.widthMm,
      bodyId: cell.bodyId,
      texture: cell.texture ? { [usualBand(round).side]: [cell.texture] } : {},
      note: `Round ${round.number}, ${cell.label}: ${cell.words}`,
      coats: [],
    },
    Array.from({ length: round.twins }, newId),
    { roundCellId: id, series: 'rounds' },
  );
}

async function addTestGlaze(trx: Db, memberId: string, round: RoundDraft, name: string, cell: CellDraft) {
  if (!cell.recipe) throw new Refusal('cells', `${cell.label} is a blend, and a glaze in it has no recipe.`);
  const id = newId();
  const row = { name: `${name} ${cell.words}`.slice(0, 120), kind: 'glaze' as const, colour: round.colour };
  await trx('glaze').insert({ id, ...row, advice: '', caution: '', round_id: round.id });
  await addFirstVersion(trx, id, {
    recipe: JSON.stringify(cell.recipe),
    note: cell.words,
    member_id: memberId,
  });
  await recordChange(trx, memberId, 'glaze', id, null, row);
  return id;
}

/** @throws Refusal naming the round that tests one of the cells already */
async function refuseUnderWay(trx: Db, draft: RoundDraft): Promise<void> {
  const [coming, kindOf] = await Promise.all([comingStacks(trx), glazeKinds(trx)]);
  const under = new Map(coming.map((one) => [one.entries.join('\n'), one.round]));
  for (const cell of draft.cells) {
    if (!cell.stack) continue;
    const round = under.get(entriesOfCell(cell.stack, draft, cell.bodyId, cell, kindOf).join('\n'));
    if (round) throw new Refusal('cells', `${cell.words} is in ${round} already. Ask for the list again.`);
  }
}

/**
 * Notes that the pieces of these cells were glazed as planned; pieces that have coats already are left alone.
 *
 * @returns how many were glazed
 */
export async function glazeCells(base: Db, memberId: string, cellIds: readonly string[]): Promise<number> {
  return inTransaction(base, async (trx) => {
    const rows = await rowsOf<{ p: 'piece'; c: 'round_cell' }>()(
      trx('piece as p')
        .join('round_cell as c', 'c.id', 'p.round_cell_id')
        .whereIn('c.id', cellIds)
        .whereNotExists(trx('coat as k').whereRaw('k.piece_id = p.id').whereNull('k.ended_at')),
      'p.id',
      'c.stack',
    );
    const pieces = await piecesById(
      trx,
      rows.map((row) => row.id),
    );
    for (const piece of pieces) {
      const stack = fromJson<CellLayer[]>(rows.find((row) => row.id === piece.id)!.stack);
      const coats = coatsOfStack(stack, piece).map(({ glaze, ...coat }): CoatDraft => ({
        ...PLAIN_COAT,
        ...coat,
        glazeId: glaze,
      }));
      await correctPiece(trx, memberId, piece.id, piece.version, { ...piece, coats });
    }
    return pieces.length;
  });
}
