import { converter, differenceCiede2000, formatHex, parse } from 'culori';

/** CIE Lab, D65. */
export interface Lab {
  readonly l: number;
  readonly a: number;
  readonly b: number;
}

const toLab = converter('lab65');
const ciede2000 = differenceCiede2000();

/**
 * Lab (D65) of a hex colour.
 *
 * @param hex "#rrggbb", sRGB
 * @throws RangeError when the text is not a colour
 * @example labOf('#ffffff').l // 100
 */
export function labOf(hex: string): Lab {
  const lab = toLab(parse(hex));
  if (!lab) throw new RangeError(`not a colour: ${hex}`);
  return { l: lab.l, a: lab.a, b: lab.b };
}

/** The nearest sRGB hex of a Lab (D65) colour, clipped to the gamut. */
export function hexOf({ l, a, b }: Lab): string {
  return formatHex({ mode: 'lab65', l, a, b });
}

/**
 * The CIEDE2000 difference of two colours; about 1 is just seen side by side, 5 is plainly another colour.
 *
 * Source: Sharma, Wu and Dalal, Color Res. Appl. 30 (2005), as computed by culori.
 *
 * @example deltaE00(labOf('#ffffff'), labOf('#ffffff')) // 0
 */
export function deltaE00(a: Lab, b: Lab): number {
  return ciede2000({ mode: 'lab65', ...a }, { mode: 'lab65', ...b });
}
