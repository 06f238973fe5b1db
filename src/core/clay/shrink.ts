/**
 * What a length comes to in drying and firing.
 *
 * @param wet as thrown, in any unit
 * @param shrinkage percent of the wet length, 0 to below 100
 * @example firedLength(100, 12) // 88
 */
export function firedLength(wet: number, shrinkage: number): number {
  return wet * (1 - shrinkage / 100);
}

/**
 * How large something must be thrown to come out at a length.
 *
 * @example wetLength(88, 12) // 100
 */
export function wetLength(fired: number, shrinkage: number): number {
  return fired / (1 - shrinkage / 100);
}

/**
 * How far a clay shrank, percent of the wet length.
 *
 * @returns null where the fired length is none, or longer than the wet one
 * @example shrinkageOf(100, 88) // 12
 */
export function shrinkageOf(wet: number, fired: number): number | null {
  return wet > 0 && fired > 0 && fired <= wet ? (1 - fired / wet) * 100 : null;
}
