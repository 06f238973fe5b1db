const FLOOR = 25 ** 7;
const RADIAN = Math.PI / 180;

/**
 * CIEDE2000 of two colours given as plain numbers, for searches over hundreds of thousands: the package's function
 * takes and converts objects, which costs several times as much. `tests/checks/colour.test.ts` holds the two
 * together, and to the published pairs.
 *
 * Source: Sharma, Wu and Dalal, Color Res. Appl. 30 (2005), equations 2 to 22.
 *
 * @returns the difference, ≥ 0
 * @example ciede2000(50, 2.6772, -79.7751, 50, 0, -82.7485) // 2.0425
 */
export function ciede2000(l1: number, a1: number, b1: number, l2: number, a2: number, b2: number): number {
  const mean = (Math.sqrt(a1 * a1 + b1 * b1) + Math.sqrt(a2 * a2 + b2 * b2)) / 2;
  const stretch = 1.5 - 0.5 * seventh(mean);
  const [p1, p2] = [a1 * stretch, a2 * stretch];
  const [c1, c2] = [Math.sqrt(p1 * p1 + b1 * b1), Math.sqrt(p2 * p2 + b2 * b2)];
  const [h1, h2] = [hue(p1, b1), hue(p2, b2)];
  const isGrey = c1 * c2 === 0;
  const apart = h2 - h1;
  const turn = isGrey ? 0 : apart > 180 ? apart - 360 : apart < -180 ? apart + 360 : apart;
  const sum = h1 + h2;
  const middle = isGrey
    ? sum
    : Math.abs(apart) <= 180
      ? sum / 2
      : sum < 360
        ? (sum + 360) / 2
        : (sum - 360) / 2;
  const [light, chroma] = [(l1 + l2) / 2, (c1 + c2) / 2];
  const t =
    1 -
    0.17 * Math.cos((middle - 30) * RADIAN) +
    0.24 * Math.cos(2 * middle * RADIAN) +
    0.32 * Math.cos((3 * middle + 6) * RADIAN) -
    0.2 * Math.cos((4 * middle - 63) * RADIAN);
  const off = (light - 50) ** 2;
  const dl = (l2 - l1) / (1 + (0.015 * off) / Math.sqrt(20 + off));
  const dc = (c2 - c1) / (1 + 0.045 * chroma);
  const dh = (2 * Math.sqrt(c1 * c2) * Math.sin((turn / 2) * RADIAN)) / (1 + 0.015 * chroma * t);
  const theta = 30 * Math.exp(-(((middle - 275) / 25) ** 2));
  const rotation = -Math.sin(2 * theta * RADIAN) * 2 * seventh(chroma);
  return Math.sqrt(dl * dl + dc * dc + dh * dh + rotation * dc * dh);
}

function hue(a: number, b: number): number {
  if (a === 0 && b === 0) return 0;
  const angle = Math.atan2(b, a) / RADIAN;
  return angle < 0 ? angle + 360 : angle;
}

/** √(c⁷ / (c⁷ + 25⁷)) */
export function seventh(chroma: number): number {
  const power = chroma * chroma * chroma * chroma * chroma * chroma * chroma;
  return Math.sqrt(power / (power + FLOOR));
}
