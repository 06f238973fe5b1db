import type { Side } from './coats';
import { FORM_FACTS, type Form, type FormPart, type Landmark, type StandingPart } from './formLibrary';
import { halfWidthOf, type Profile } from './profile';

/** What a photo shows of a piece. */
export const VIEWS = ['outside', 'inside', 'from above', 'underside', 'area'] as const;
export type View = (typeof VIEWS)[number];

/** How a form is drawn and what can be put on it. Lengths in millimetres. */
export interface FormShape {
  readonly heightMm: number;
  readonly widthMm: number;
  /** Whether it is a test glazed on its face, and not a vessel. */
  readonly isFlat: boolean;
  /** Depth on a kiln shelf, standing upright with what holds it up, mm; null when it covers a circle. */
  readonly shelfDepthMm: number | null;
  /** Sides that take coats when the piece is not split. */
  readonly sides: readonly Side[];
  readonly canSplit: boolean;
  /** Whether it is drawn from above, as rings from the centre (0) to the rim (1). */
  readonly plan: boolean;
  /** Whether its foot catches what runs down. */
  readonly catches: boolean;
  /** Whether its bands are told from the rim down. */
  readonly fromRim: boolean;
  readonly landmarks: readonly Landmark[];
  readonly parts: readonly FormPart[];
  readonly profile: Profile;
  /** Half the width at a height, both as fractions: height 0 = foot, 1 = rim; width 1 = the widest. */
  readonly halfWidth: (height: number) => number;
}

const VESSEL: readonly Side[] = ['outside', 'inside'];

const SHAPES = Object.fromEntries(
  Object.entries(FORM_FACTS).map(([form, facts]): [string, FormShape] => [
    form,
    {
      ...{ canSplit: false, plan: false, catches: false, fromRim: false, landmarks: [], parts: [] },
      ...{ sides: VESSEL, isFlat: facts.shelfDepthMm !== undefined, halfWidth: halfWidthOf(facts.profile) },
      ...facts,
      shelfDepthMm: facts.shelfDepthMm ?? null,
    },
  ]),
) as Readonly<Record<Form, FormShape>>;

/**
 * The drawing and the usual size of a form of the library.
 *
 * For a plate the height is the length of its profile from centre to rim twice over: its diameter.
 *
 * @example formShape('tile').heightMm // 100
 */
export function formShape(form: Form): FormShape {
  return SHAPES[form];
}

/** How thick a handle is, as a share of the width of its body (judgement). */
export const HANDLE_THICKNESS = 0.13;

/** A place beside the axis of a form: half widths to the right, and height, as of its profile. */
export type BesideAxis = readonly [x: number, height: number];

/**
 * The middle line of a handle as a cubic Bézier curve: out of the wall at its upper end, back into it at its lower.
 *
 * @returns where it begins, two points that draw it out, where it ends
 */
export function handleCurve(
  { halfWidth }: Pick<FormShape, 'halfWidth'>,
  { from, to, reach }: StandingPart,
): readonly [BesideAxis, BesideAxis, BesideAxis, BesideAxis] {
  const out = halfWidth((from + to) / 2) + reach * 1.05;
  return [
    [halfWidth(to), to],
    [out, to + 0.02],
    [out, from + 0.04],
    [halfWidth(from), from],
  ];
}

/** A form, with a silhouette of its own where the studio drew one. */
export interface Shaped {
  readonly form: Form;
  /** Null or nothing for that of the library. */
  readonly profile?: Profile | null;
}

/** The form of a piece as it is drawn: that of the library with the piece's own silhouette, which has no parts. */
export function shapeOf({ form, profile }: Shaped): FormShape {
  const shape = SHAPES[form];
  return profile ? { ...shape, profile, halfWidth: halfWidthOf(profile), parts: [] } : shape;
}

/** What a piece measures, as far as its bands are concerned. */
export interface Measures extends Shaped {
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

/**
 * The landmarks of a form that a band covers at least half of, in words; empty where it has none.
 *
 * @example landmarkWords(formShape('plate'), 0.66, 1) // 'flange and rim'
 */
export function landmarkWords({ landmarks }: Pick<FormShape, 'landmarks'>, from: number, to: number): string {
  const names = landmarks
    .filter((mark) => {
      const shared = Math.min(mark.to, to) - Math.max(mark.from, from);
      return shared >= (mark.to - mark.from) / 2 - 1e-9;
    })
    .map(({ name }) => name);
  if (names.length < 3) return names.join(' and ');
  return `${names[0]} to ${names.at(-1)}`;
}

/** What a side of a form is called: a test that is glazed on two faces has a front and a back. */
export function sideWord(form: Form, side: Side): string {
  const { isFlat, sides } = SHAPES[form];
  if (!isFlat || !sides.includes('inside')) return side;
  return side === 'inside' ? 'back' : side === 'outside' ? 'front' : side;
}
