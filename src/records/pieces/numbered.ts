import type { Db } from '@/records/platform/db';
import { Refusal } from '@/records/platform/errors';
import { rowsOf } from '@/records/platform/joins';

/**
 * The pieces that a number may mean, in the order of their numbers: what is written under the foot, with or without its
 * letters, or its maker's own number.
 */
export function piecesNumbered(base: Db, text: string) {
  const number = text.trim();
  const isPlain = /^\d+$/.test(number);
  return rowsOf<{ p: 'piece' }>()(
    base('piece as p')
      .where({ 'p.label': number.toUpperCase() })
      .orWhere({ 'p.own_number': number })
      .orWhere((query) => void (isPlain && query.where({ 'p.number': Number(number) })))
      .orderBy('p.number'),
    'p.id',
    'p.label',
    'p.stage',
    'p.fate',
  );
}

/**
 * The one piece among those that a number may mean: the first of the lists that is not empty says it.
 *
 * @param none what is said when there is none
 * @throws Refusal of `number` when there is none, or more than one
 */
export function theOneNumbered<T extends { readonly label: string }>(
  number: string,
  lists: readonly (readonly T[])[],
  none = `There is no piece ${number}.`,
): T {
  const found = lists.find((list) => list.length > 0);
  if (!found) throw new Refusal('number', none);
  if (found.length > 1)
    throw new Refusal(
      'number',
      `Several pieces are ${number}: ${found.map(({ label }) => label).join(', ')}. Type the letters as well.`,
    );
  return found[0]!;
}
