import { FACTOR_MISS } from '../chemistry';
import type { Calibration } from './calibrate';

/** The expansion a body is calculated with, where it comes from, and how far it can be off. */
export interface BodyFigure {
  /** 1e-6/K. */
  readonly expansion: number;
  /** Half the width of the band for a glaze on it, 1e-6/K. */
  readonly miss: number;
  /** Tiles (pieces) behind a learned figure; 0 for a measured or quoted one. */
  readonly tiles: number;
  /** Of those, how many of each glaze. */
  readonly tilesOf: Readonly<Record<string, number>>;
  /** How far what was learned lies from the measured figure, 1e-6/K; null when one of them is missing. */
  readonly shift: number | null;
}

/**
 * Which figure a body is judged by: what the studio's own tiles say outranks the measured one. The band of a
 * learned figure is its interval and the scatter of glazes about it together; that of a measured one is what
 * the factor sets can miss.
 *
 * @param measured 1e-6/K, or null
 * @returns null when neither is known
 */
export function bodyFigure(measured: number | null, calibration: Calibration | null): BodyFigure | null {
  if (calibration?.enough) {
    const { value, low, high, scatter, tiles, tilesOf } = calibration.limit;
    const shift = measured === null ? null : value - measured;
    return { expansion: value, miss: Math.hypot((high - low) / 2, scatter), tiles, tilesOf, shift };
  }
  return measured === null
    ? null
    : { expansion: measured, miss: FACTOR_MISS, tiles: 0, tilesOf: {}, shift: null };
}
