import { recordChange } from './changes';
import { inTransaction, newId, type Db } from './db';
import { NotFound, Refusal } from './errors';

/** A run of piece numbers that one device may give out by itself, without a network. */
export interface NumberBlock {
  readonly id: string;
  readonly prefix: string;
  readonly first: number;
  readonly last: number;
}

/** How many numbers a device holds at a time. */
const BLOCK = 10;

/** The studio's one series of piece numbers, its row locked until the transaction ends. */
export async function lockSeries(trx: Db): Promise<{ prefix: string; next: number }> {
  return trx('series').forUpdate().first('prefix', 'next');
}

/** The letters and the next number of the studio's pieces. */
export async function seriesOf(base: Db): Promise<{ prefix: string; next: number }> {
  return base('series').first('prefix', 'next');
}

/**
 * Changes the letters of the pieces to come, and the number the next one gets. Those that are there keep theirs.
 *
 * @throws Refusal of `next` when numbers from there on were given out already
 */
export async function saveSeriesOf(
  base: Db,
  memberId: string,
  series: { readonly prefix: string; readonly next: number },
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const before = await lockSeries(trx);
    if (series.next < before.next)
      throw new Refusal('next', `Numbers up to ${before.next - 1} were given out already.`);
    await trx('series').update(series);
    await recordChange(trx, memberId, 'series', series.prefix, before, series);
  });
}

/** A piece number as it stands under the foot. */
export function labelOf(prefix: string, number: number): string {
  return `${prefix}-${String(number).padStart(4, '0')}`;
}

/**
 * Reserves the next numbers of the series for a device. They are never given to anybody else, used or not.
 * The same block id again gives the same block.
 */
export async function reserveNumbers(
  base: Db,
  memberId: string,
  { id, device }: { id: string; device: string },
): Promise<NumberBlock> {
  return inTransaction(base, async (trx) => {
    const { prefix, next } = await lockSeries(trx);
    const held = await trx('number_block').where({ id }).first('first', 'last');
    if (held) return { id, prefix, first: held.first, last: held.last };
    const block = { first: next, last: next + BLOCK - 1 };
    await trx('number_block').insert({ id, device, ...block, member_id: memberId, at: new Date() });
    await trx('series').update({ next: next + BLOCK });
    return { id, prefix, ...block };
  });
}

/** A piece found in the kiln that nobody had logged. */
export interface UnloggedPiece {
  readonly id: string;
  readonly firingId: string;
  readonly blockId: string;
  readonly number: number;
  readonly shelf: number;
  readonly note: string;
}

/**
 * Takes a piece that nobody logged into the studio and into the firing it was found in, under a number of
 * the device's own block. What it is was not said: its form and clay stand in for what is not described yet, and its
 * zones prove nothing until somebody has described it.
 *
 * @throws Refusal when the number is not the device's or is used
 */
export async function addUnloggedPiece(trx: Db, memberId: string, piece: UnloggedPiece): Promise<void> {
  const block = await trx('number_block').where({ id: piece.blockId }).first('first', 'last');
  const { prefix } = await lockSeries(trx);
  const label = labelOf(prefix, piece.number);
  if (!block || piece.number < block.first || piece.number > block.last)
    throw new Refusal('number', `${label} is not one of this device's numbers.`);
  if (await trx('piece').where({ number: piece.number }).first('id'))
    throw new Refusal('number', `${label} is used already.`);
  const body = await trx('piece')
    .select('body_id')
    .groupBy('body_id')
    .orderByRaw('count(*) desc')
    .first('body_id');
  const anyBody = body ?? (await trx('body').first('id as body_id'));
  if (!anyBody) throw new NotFound('A clay body');
  const at = new Date();
  const [{ last }] = (await trx('firing_piece')
    .where({ firing_id: piece.firingId })
    .max('place as last')) as [{ last: number | null }];
  await trx('piece').insert({
    id: piece.id,
    label,
    number: piece.number,
    form: 'tile',
    height_mm: 100,
    width_mm: 60,
    body_id: anyBody.body_id,
    split: false,
    note: piece.note,
    described: false,
    twin_key: `unlogged-${newId()}`.padEnd(43, '-'),
    member_id: memberId,
    made_at: at,
    stage: 'fired',
  });
  await trx('firing_piece').insert({
    firing_id: piece.firingId,
    piece_id: piece.id,
    shelf: piece.shelf,
    place: (last ?? 0) + 1,
    state: 'loaded',
    at,
  });
  const { id, ...noted } = piece;
  await recordChange(trx, memberId, 'piece', id, null, { label, ...noted });
}
