import { converter, formatHex } from 'culori';
import { kmeans } from 'ml-kmeans';
import { deltaE00, hexOf, type Lab } from '../colour';
import type { Pixels } from './frame';
import { highlightMask, LINEAR } from './light';

/** One of the colours a zone is made of. */
export interface Shade {
  readonly hex: string;
  readonly lab: Lab;
  /** Share of the zone, 0 to 1, glare left out. */
  readonly share: number;
}

/** The colour of a zone as measured from its photo. */
export interface ZoneColour {
  /** "#rrggbb" that stands for the whole zone. */
  readonly colour: string;
  /** Its dominant colours, the largest share first. */
  readonly palette: readonly Shade[];
  /** Share of the patch that was left out as glare. */
  readonly glare: number;
}

const MOST_SAMPLES = 1500;
/** Colours nearer than this (CIEDE2000) are one. */
const SAME = 7;
/** A colour with less than this share is noise. */
const LEAST_SHARE = 0.04;

const toLab = converter('lab65');

/**
 * Measures the colour of a patch that holds one zone: glare is left out, then the mean in linear light of
 * the middle half by lightness stands for the whole (pits, drips and shading do not tip it), and the rest
 * is gathered into at most five colours in Lab by k-means (ml-kmeans, seeded, so that the same patch
 * gives the same palette).
 *
 * @example measureZone(patch).palette[0].share // 0.83
 */
export function measureZone(pixels: Pixels): ZoneColour {
  const mask = highlightMask(pixels);
  const all = mask.length;
  const kept: number[] = [];
  for (let i = 0; i < all; i++) if (!mask[i]) kept.push(i * 3);
  const used = kept.length >= all / 20 ? kept : Array.from({ length: all }, (_, i) => i * 3);
  return {
    colour: middleColour(pixels, used),
    palette: paletteOf(pixels, used),
    glare: 1 - kept.length / all,
  };
}

/** The mean in linear light of the middle half by lightness, as "#rrggbb". */
function middleColour({ data }: Pixels, used: readonly number[]): string {
  const light = (i: number) => data[i]! * 0.3 + data[i + 1]! * 0.6 + data[i + 2]! * 0.1;
  const order = [...used].sort((a, b) => light(a) - light(b));
  const middle = order.slice(
    Math.floor(order.length / 4),
    Math.max(Math.floor(order.length / 4) + 1, Math.ceil((order.length * 3) / 4)),
  );
  const mean = (c: number) => middle.reduce((sum, i) => sum + LINEAR[data[i + c]!]!, 0) / middle.length;
  return formatHex({ mode: 'lrgb', r: mean(0), g: mean(1), b: mean(2) });
}

function paletteOf({ data }: Pixels, used: readonly number[]): Shade[] {
  const step = Math.max(1, used.length / MOST_SAMPLES);
  const points = Array.from({ length: Math.min(used.length, MOST_SAMPLES) }, (_, n) => {
    const i = used[Math.floor(n * step)]!;
    const { l, a, b } = toLab({
      mode: 'rgb',
      r: data[i]! / 255,
      g: data[i + 1]! / 255,
      b: data[i + 2]! / 255,
    });
    return [l, a, b];
  });
  const distinct = new Set(points.map(String)).size;
  const { clusters, centroids } = kmeans(points, Math.min(5, distinct), { seed: 20_011, maxIterations: 24 });
  const counts = centroids.map((_, k) => clusters.filter((cluster) => cluster === k).length);
  let shades = centroids
    .map(([l, a, b], k) => ({ lab: { l: l!, a: a!, b: b! }, share: counts[k]! / points.length }))
    .filter(({ share }) => share > 0)
    .sort((p, q) => q.share - p.share);
  for (let pair = nearestPair(shades); pair; pair = nearestPair(shades)) {
    const [one, other] = pair;
    shades = [merged(one, other), ...shades.filter((shade) => shade !== one && shade !== other)];
  }
  return shades
    .filter(({ share }) => share >= LEAST_SHARE)
    .sort((p, q) => q.share - p.share)
    .map((shade) => ({ ...shade, hex: hexOf(shade.lab) }));
}

type Cluster = Omit<Shade, 'hex'>;

function nearestPair(shades: readonly Cluster[]): [Cluster, Cluster] | null {
  for (const [i, one] of shades.entries())
    for (const other of shades.slice(i + 1)) if (deltaE00(one.lab, other.lab) < SAME) return [one, other];
  return null;
}

function merged(one: Cluster, other: Cluster): Cluster {
  const share = one.share + other.share;
  const part = (key: keyof Lab) => (one.lab[key] * one.share + other.lab[key] * other.share) / share;
  return { share, lab: { l: part('l'), a: part('a'), b: part('b') } };
}
