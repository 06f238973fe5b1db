import { recordChange } from './changes';
import { inTransaction, newId, type Db } from './db';
import { found, NotFound, Refusal } from './errors';

/** A run of piece numbers that one device may give out by itself, without a network. */
export interface NumberBlock {
  readonly id: string;
  readonly prefix: string;
  readonly first: number;
  readonly last: number;
}

/** How many numbers a device holds at a time. */
const BLOCK = 10;

/** What the pieces are that get their numbers from a series. */
export type SeriesUse = 'usual' | 'rounds' | 'chosen';

/** A run of piece numbers under letters of its own. */
export interface Series {
  readonly prefix: string;
  /** The number that its next piece gets. */
  readonly next: number;
  /** Whatever is not told otherwise, the tests of rounds, or only what is put there piece by piece. */
  readonly use: SeriesUse;
}

/** The series of the studio's piece numbers, the usual one first. */
export async function listSeries(base: Db): Promise<Series[]> {
  const rows = await base('series')
    .orderByRaw("field(goes_to, 'usual', 'rounds', 'chosen'), prefix")
    .select('prefix', 'next', 'goes_to');
  return rows.map(({ prefix, next, goes_to: use }) => ({ prefix, next, use }));
}

/** Which series a number is wanted from: by its letters, or the one for the tests of rounds; null for the usual one. */
export type SeriesWanted = { readonly prefix: string } | 'rounds' | null;

/**
 * A series, its row locked until the transaction ends.
 *
 * @throws Refusal of `series` when there is none of these letters
 */
export async function lockSeries(
  trx: Db,
  wanted: SeriesWanted = null,
): Promise<{ prefix: string; next: number }> {
  const locked = trx('series').forUpdate();
  if (wanted !== null && wanted !== 'rounds')
    return (
      (await locked.where({ prefix: wanted.prefix }).first('prefix', 'next')) ??
      refuse('series', `There is no series ${wanted.prefix} any more. Choose another.`)
    );
  const uses: SeriesUse[] = wanted === 'rounds' ? ['rounds', 'usual'] : ['usual'];
  return locked
    .whereIn('goes_to', uses)
    .orderByRaw("field(goes_to, 'rounds', 'usual')")
    .first('prefix', 'next');
}

function refuse(field: string, message: string): never {
  throw new Refusal(field, message);
}

/**
 * Adds a series, or changes its letters, its next number and what it is for. Pieces that are there keep their numbers.
 * Where it becomes the usual one, or that for rounds, the one before is left to be chosen.
 *
 * @param before its letters until now; null for a new one
 * @throws Refusal of `prefix` when another has these letters, of `next` when numbers from there on were given out under
 *   them, of `use` when none would be the usual one
 */
export async function saveSeriesOf(
  base: Db,
  memberId: string,
  series: Series,
  before: string | null,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const rows = await trx('series').forUpdate().select('prefix', 'next', 'goes_to');
    const own = before === null ? undefined : rows.find(({ prefix }) => prefix === before);
    if (before !== null) found(own, `The series ${before}`);
    if (rows.some(({ prefix }) => prefix === series.prefix && prefix !== before))
      throw new Refusal('prefix', `There is a series ${series.prefix} already.`);
    const given = await lastGiven(trx, series.prefix);
    if (series.next <= given)
      throw new Refusal('next', `Under ${series.prefix} numbers up to ${given} were given out already.`);
    if (own?.goes_to === 'usual' && series.use !== 'usual')
      throw new Refusal('use', 'Make another series the usual one instead.');
    if (series.use !== 'chosen')
      await trx('series').where({ goes_to: series.use }).update({ goes_to: 'chosen' });
    const row = { prefix: series.prefix, next: series.next, goes_to: series.use };
    if (own) await trx('series').where({ prefix: own.prefix }).update(row);
    else await trx('series').insert(row);
    await recordChange(trx, memberId, 'series', series.prefix, own ?? null, row);
  });
}

/** Takes a series away; its pieces keep their numbers. @throws Refusal when it is the usual one */
export async function removeSeriesOf(base: Db, memberId: string, prefix: string): Promise<void> {
  await inTransaction(base, async (trx) => {
    const row = found(
      await trx('series').where({ prefix }).forUpdate().first('prefix', 'next', 'goes_to'),
      `The series ${prefix}`,
    );
    if (row.goes_to === 'usual') throw new Refusal('', 'The usual series stays. Make another usual first.');
    await trx('series').where({ prefix }).delete();
    await recordChange(trx, memberId, 'series', prefix, row, null);
  });
}

/** The highest number that was given out under some letters; 0 for none. */
async function lastGiven(trx: Db, prefix: string): Promise<number> {
  const asked: Promise<{ last: number | null }[]>[] = [
    trx('piece').where('label', 'like', `${prefix}-%`).max({ last: 'number' }),
    trx('number_block').where({ prefix }).max({ last: 'last' }),
  ];
  return Math.max(0, ...(await Promise.all(asked)).map(([row]) => row?.last ?? 0));
}

/** A piece number as it stands under the foot. */
export function labelOf(prefix: string, number: number): string {
  return `${prefix}-${String(number).padStart(4, '0')}`;
}

/**
 * Reserves the next numbers of the usual series for a device. They are given to nobody else unless the device
 * gives them back.
 * The same block id again gives the same block.
 */
export async function reserveNumbers(
  base: Db,
  memberId: string,
  { id, device }: { id: string; device: string },
): Promise<NumberBlock> {
  return inTransaction(base, async (trx) => {
    const { prefix, next } = await lockSeries(trx);
    const held = await trx('number_block').where({ id }).first('prefix', 'first', 'last');
    if (held) return { id, ...held };
    const block = { prefix, first: next, last: next + BLOCK - 1 };
    await trx('number_block').insert({ id, device, ...block, member_id: memberId, at: new Date() });
    await trx('series')
      .where({ prefix })
      .update({ next: next + BLOCK });
    return { id, ...block };
  });
}

/**
 * Takes back what a device has not used of its block, from a number on. Where others got higher numbers meanwhile the
 * rest stays unused: no number is given twice.
 */
export async function giveNumbersBack(
  base: Db,
  memberId: string,
  { id, from }: { readonly id: string; readonly from: number },
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const block = await trx('number_block')
      .where({ id, member_id: memberId })
      .first('prefix', 'first', 'last');
    if (!block || from < block.first || from > block.last) return;
    const { next } = await lockSeries(trx, { prefix: block.prefix });
    const labels = Array.from({ length: block.last - from + 1 }, (_, i) => labelOf(block.prefix, from + i));
    if (next !== block.last + 1 || (await trx('piece').whereIn('label', labels).first('id'))) return;
    await trx('series').where({ prefix: block.prefix }).update({ next: from });
    if (from === block.first) await trx('number_block').where({ id }).delete();
    else
      await trx('number_block')
        .where({ id })
        .update({ last: from - 1 });
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
  const block = found(
    await trx('number_block').where({ id: piece.blockId }).forUpdate().first('prefix', 'first', 'last'),
    'This block of numbers',
  );
  const label = labelOf(block.prefix, piece.number);
  if (piece.number < block.first || piece.number > block.last)
    throw new Refusal('number', `${label} is not one of this device's numbers.`);
  if (await trx('piece').where({ label }).first('id'))
    throw new Refusal('number', `${label} is used already.`);
  const at = new Date();
  const [{ last }] = (await trx('firing_piece')
    .where({ firing_id: piece.firingId })
    .max('place as last')) as [{ last: number | null }];
  await trx('piece').insert({
    id: piece.id,
    label,
    number: piece.number,
    note: piece.note,
    member_id: memberId,
    made_at: at,
    stage: 'fired',
    ...(await undescribed(trx)),
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

/**
 * What stands in a piece's row while nobody has described it: a form and a clay, since none may be missing, that are
 * shown nowhere and prove nothing.
 *
 * @throws NotFound in a studio without a clay
 */
export async function undescribed(trx: Db) {
  const commonest = await trx('piece')
    .select('body_id')
    .groupBy('body_id')
    .orderByRaw('count(*) desc')
    .first('body_id');
  const body = commonest ?? (await trx('body').first('id as body_id'));
  if (!body) throw new NotFound('A clay body');
  return {
    ...{ form: 'tile' as const, height_mm: 100, width_mm: 60, body_id: body.body_id, split: false },
    ...{ described: false, twin_key: `unlogged-${newId()}`.padEnd(43, '-') },
  };
}
