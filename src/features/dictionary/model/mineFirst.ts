import type { Sense } from '@/records/dictionary';
import type { Usual } from '@/records/pieces';

type Place = Pick<Sense, 'groundId' | 'cone' | 'atmosphere'>;

/** How near a sense is to what a member makes: the same clay and fire, the same clay, the same fire, another. */
function nearness(sense: Place, usual: Usual): number {
  const isClay = sense.groundId === usual.groundId;
  const isFire = sense.cone === usual.cone && sense.atmosphere === usual.atmosphere;
  return (isClay ? 2 : 0) + (isFire ? 1 : 0);
}

/** Senses with those on a member's own clay and from their own fire first; otherwise in their order. */
export function mineFirst<S extends Place>(senses: readonly S[], usual: Usual | null): readonly S[] {
  return usual ? senses.toSorted((a, b) => nearness(b, usual) - nearness(a, usual)) : senses;
}

/** Whether a sense is on a member's own clay and from their own fire. */
export function isMine(sense: Place, usual: Usual | null): boolean {
  return usual !== null && nearness(sense, usual) === 3;
}
