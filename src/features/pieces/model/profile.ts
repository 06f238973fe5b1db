import { halfWidthOf, type Profile } from '@/core/vocabulary';

/** The smallest step between two points, and the smallest half width, as fractions. */
const LEAST = 0.005;

const clamp = (value: number, least: number, most: number) => Math.min(most, Math.max(least, value));

/** Moves a point of a silhouette between its neighbours; foot and rim keep their heights. */
export function movedPoint(
  profile: Profile,
  index: number,
  [height, half]: readonly [number, number],
): Profile {
  const isEnd = index === 0 || index === profile.length - 1;
  const free = isEnd
    ? profile[index]![0]
    : clamp(height, profile[index - 1]![0] + LEAST, profile[index + 1]![0] - LEAST);
  return profile.map((point, i) => (i === index ? [free, clamp(half, LEAST, 1)] : point));
}

/** Adds a point to a silhouette on its curve. Where there is one already, or beyond the ends, nothing happens. */
export function withPoint(profile: Profile, height: number): Profile {
  if (height <= 0 || height >= 1 || profile.some(([at]) => Math.abs(at - height) < LEAST)) return profile;
  const point = [height, halfWidthOf(profile)(height)] as const;
  return [...profile, point].sort(([one], [two]) => one - two);
}

/** Takes a point off a silhouette; foot and rim stay. */
export function withoutPoint(profile: Profile, index: number): Profile {
  if (index === 0 || index === profile.length - 1) return profile;
  return profile.filter((_, i) => i !== index);
}

/**
 * A silhouette with points that a finger can tell apart: those nearer to the one before, or to the rim, are left out.
 *
 * @param least height between two points, as a fraction
 */
export function thinnedProfile(profile: Profile, least: number): Profile {
  const [foot, ...rest] = profile;
  const kept = [foot!];
  for (const point of rest.slice(0, -1))
    if (point[0] - kept.at(-1)![0] >= least && 1 - point[0] >= least) kept.push(point);
  return [...kept, rest.at(-1)!];
}

/** A silhouette as wide as it may be: its widest point becomes the measure of its width. */
export function atFullWidth(profile: Profile): Profile {
  const widest = Math.max(...profile.map(([, half]) => half));
  return profile.map(([height, half]) => [height, half / widest]);
}
