import { CONES, type Cone } from '../vocabulary';

/**
 * The place of a cone in the series as a number: 6 for cone 6, 5.5 for 5½, 0 for 01, −1 for 02, −21 for 022.
 *
 * @param cone a name; "5.5" and "5 1/2" are understood as 5½
 * @returns the index, or null when there is no such cone
 * @example coneIndex('05½') // -4.5
 */
export function coneIndex(cone: string): number | null {
  const name = cone.trim().replace(/\s*1\/2$|\.5$/, '½');
  if (!(CONES as readonly string[]).includes(name)) return null;
  const half = name.endsWith('½') ? 0.5 : 0;
  const digits = name.replace('½', '');
  return digits.startsWith('0') ? 1 - Number(digits) - half : Number(digits) + half;
}

/**
 * The cone that somebody wrote: "6", "06", "cone 6", "c6", "^6", "Δ6", "05 1/2".
 *
 * @returns its index as in {@link coneIndex}, or null when it names no cone that there is
 * @example readCone('^06') // -5
 */
export function readCone(written: string): number | null {
  const name = written.trim().replace(/^(?:cone|c(?=\d)|\^|Δ|∆|△)\s*/i, '');
  return coneIndex(name.replace(/[,.]5$/, '½'));
}

/**
 * Whether a firing came out close enough to its target to prove an entry of that cone: within half a cone.
 * A firing whose cones were not read is taken at its word.
 *
 * @param target cone name
 * @param achieved cone index as read from the witness cones, or null
 * @example hitTarget('6', 5.5) // true
 */
export function hitTarget(target: string, achieved: number | null): boolean {
  return (sideOfTarget(target, achieved) ?? 'at') === 'at';
}

/**
 * The cone nearest to an index, a whole one before a half one that is as near.
 *
 * @example coneNear(5.9) // '6'
 */
export function coneNear(index: number): Cone {
  const away = (cone: Cone) => Math.abs(coneIndex(cone)! - index);
  const whole = [...CONES].sort((a, b) => Number(a.endsWith('½')) - Number(b.endsWith('½')));
  return whole.reduce((best, cone) => (away(cone) < away(best) ? cone : best));
}

/**
 * On which side of its target a firing came out; at it within half a cone.
 *
 * @param target cone name
 * @param achieved cone index as read from the witness cones, or null
 * @returns null where either is not known
 * @example sideOfTarget('6', 5.3) // 'under'
 */
export function sideOfTarget(target: string, achieved: number | null): 'under' | 'at' | 'over' | null {
  const aim = coneIndex(target);
  if (aim === null || achieved === null) return null;
  if (Math.abs(achieved - aim) <= 0.5) return 'at';
  return achieved < aim ? 'under' : 'over';
}
