import type { Body } from '@/records/materials';

/** What was said of a clay, in a line; what nobody said is left out. */
export function bodyWords({
  coneFrom,
  coneTo,
  iron,
  coarse,
}: Pick<Body, 'coneFrom' | 'coneTo' | 'iron' | 'coarse'>): string {
  const range =
    coneFrom && coneTo
      ? `cone ${coneFrom} to ${coneTo}`
      : coneTo
        ? `up to cone ${coneTo}`
        : coneFrom && `from cone ${coneFrom}`;
  const words = [range, iron && (iron === 'none' ? 'no iron' : `${iron} iron`), coarse && 'coarse'];
  return words.filter(Boolean).join(', ') || 'nothing noted yet';
}
