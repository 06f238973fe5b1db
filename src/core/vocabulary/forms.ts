import type { Side } from './coats';

/** The forms a piece can have. */
export const FORMS = ['tile', 'ring strip', 'arch', 'cup', 'bowl', 'plate', 'other'] as const;
export type Form = (typeof FORMS)[number];

/** What a photo shows of a piece. */
export const VIEWS = ['outside', 'inside', 'from above', 'underside', 'area'] as const;
export type View = (typeof VIEWS)[number];

/** How a form is drawn and what can be put on it. Lengths in millimetres. */
export interface FormShape {
  readonly heightMm: number;
  readonly widthMm: number;
  /** Whether it is a test glazed on its face, and not a vessel. */
  readonly isFlat: boolean;
  /** Depth on a kiln shelf, standing upright with what holds it up, mm (judgement); null when it covers a circle. */
  readonly shelfDepthMm: number | null;
  /** Sides that take coats when the piece is not split. */
  readonly sides: readonly Side[];
  readonly canSplit: boolean;
  /** Whether it is drawn from above, as rings from the centre (0) to the rim (1). */
  readonly plan: boolean;
  /** Half the width at a height, both as fractions: height 0 = foot, 1 = rim; width 1 = the widest. */
  readonly halfWidth: (height: number) => number;
}

const straight = () => 1;

const SHAPES: Readonly<Record<Form, FormShape>> = {
  tile: {
    heightMm: 100,
    widthMm: 60,
    isFlat: true,
    shelfDepthMm: 25,
    sides: ['outside'],
    canSplit: true,
    plan: false,
    halfWidth: straight,
  },
  'ring strip': {
    heightMm: 90,
    widthMm: 45,
    isFlat: true,
    shelfDepthMm: 30,
    sides: ['outside'],
    canSplit: true,
    plan: false,
    // The foot flange of the thrown ring, an upside-down T in section.
    halfWidth: (t) => (t < 0.08 ? 1 : 0.9 - 0.04 * t),
  },
  arch: {
    heightMm: 80,
    widthMm: 60,
    isFlat: true,
    shelfDepthMm: 45,
    sides: ['outside'],
    canSplit: true,
    plan: false,
    halfWidth: (t) => (t < 0.6 ? 1 : Math.sqrt(Math.max(0.06, 1 - ((t - 0.6) / 0.42) ** 2))),
  },
  cup: {
    heightMm: 90,
    widthMm: 80,
    isFlat: false,
    shelfDepthMm: null,
    sides: ['outside', 'inside'],
    canSplit: false,
    plan: false,
    halfWidth: (t) => (t < 0.05 ? 0.68 : 0.74 + 0.26 * Math.sin((Math.min(1, t * 1.15) * Math.PI) / 2)),
  },
  bowl: {
    heightMm: 70,
    widthMm: 150,
    isFlat: false,
    shelfDepthMm: null,
    sides: ['outside', 'inside'],
    canSplit: false,
    plan: false,
    halfWidth: (t) => (t < 0.08 ? 0.4 : 0.38 + 0.62 * Math.sin((t * Math.PI) / 2) ** 0.8),
  },
  plate: {
    heightMm: 220,
    widthMm: 220,
    isFlat: false,
    shelfDepthMm: null,
    sides: ['inside', 'outside'],
    canSplit: false,
    plan: true,
    halfWidth: straight,
  },
  other: {
    heightMm: 120,
    widthMm: 90,
    isFlat: false,
    shelfDepthMm: null,
    sides: ['outside', 'inside'],
    canSplit: true,
    plan: false,
    halfWidth: (t) => 0.72 + 0.28 * Math.sin(Math.PI * (0.15 + 0.7 * t)),
  },
};

/**
 * The drawing and the usual size of a form.
 *
 * For a plate the height is the length of its profile from centre to rim twice over: its diameter.
 *
 * @example formShape('tile').heightMm // 100
 */
export function formShape(form: Form): FormShape {
  return SHAPES[form];
}

/** What a piece measures, as far as its bands are concerned. */
export interface Measures {
  readonly form: Form;
  readonly heightMm: number;
  readonly widthMm: number;
}

/** How far bands reach, mm: from foot to rim, on a plate from its centre to its rim. */
export function reachMm({ form, heightMm, widthMm }: Measures): number {
  return SHAPES[form].plan ? widthMm / 2 : heightMm;
}

/** How high flat ware lies, mm (judgement). */
const PLATE_LIES_MM = 30;

/** How high a piece stands on a kiln shelf, mm: a plate lies, whatever it measures across. */
export function standingMm({ form, heightMm }: Pick<Measures, 'form' | 'heightMm'>): number {
  return SHAPES[form].plan ? PLATE_LIES_MM : heightMm;
}

/** The forms that rounds lay out tests on. */
export const ROUND_FORMS = ['tile', 'ring strip'] as const satisfies readonly Form[];
export type RoundForm = (typeof ROUND_FORMS)[number];
