import type { Segment } from '../../src/core/firing';

/** The studio's programmes. */
export const PROGRAMMES = {
  'Cone 6, slow end': [
    { rate: 150, target: 1100, hold: 0 },
    { rate: 60, target: 1205, hold: 15 },
  ],
  'Cone 6, drop and hold': [
    { rate: 150, target: 1100, hold: 0 },
    { rate: 60, target: 1200, hold: 10 },
    { rate: 250, target: 1100, hold: 30 },
  ],
  'Lustre, cone 018': [
    { rate: 100, target: 500, hold: 0 },
    { rate: 60, target: 705, hold: 10 },
  ],
  'Bisque, cone 06': [
    { rate: 60, target: 120, hold: 60 },
    { rate: 100, target: 600, hold: 0 },
    { rate: 120, target: 995, hold: 10 },
  ],
} as const;

/** How the gas kiln climbs when it goes as meant. */
export const GAS: readonly Segment[] = [
  { rate: 150, target: 1180, hold: 0 },
  { rate: 60, target: 1280, hold: 5 },
];
