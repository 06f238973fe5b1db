import type { CoatCover } from '@/core/vocabulary';

/** What a coat does to its band, for a list of choices. */
export const COVERS = {
  whole: 'all of its band',
  pattern: 'in a pattern',
  fade: 'fading out',
  slope: 'with a slanting edge',
} as const satisfies Readonly<Record<CoatCover['kind'] | 'whole', string>>;

/** What each begins as. */
export const FIRST_COVER: Readonly<Record<CoatCover['kind'], CoatCover>> = {
  pattern: { kind: 'pattern', name: 'dots', percent: 20 },
  fade: { kind: 'fade', towards: 'rim' },
  slope: { kind: 'slope', rise: 0.2 },
};

/** How a coat covers its band, in words: "dots, about 20 %". */
export function coverWords(cover: CoatCover): string {
  if (cover.kind === 'pattern') return `${cover.name}, about ${cover.percent} %`;
  return cover.kind === 'fade' ? `fading towards the ${cover.towards}` : 'with a slanting edge';
}
