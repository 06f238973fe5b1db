import type { ReactNode } from 'react';
import { ConeDrawing } from '../ConeDrawing';
import { DefectGlyph } from '../DefectGlyph';
import { ProofMarks } from '../ProofMarks';
import { Silhouette, type DrawnCoat } from '../silhouette';
import { Swatch } from '../Swatch';

/** One of our own words, with a picture and what it means. */
export interface Word {
  readonly word: string;
  readonly means: string;
  readonly picture: ReactNode;
}

const CLAY = '#b5623f';
const WHITE = '#e3d9c6';
const SLEEPER = { glaze: 'sleeper', colour: '#3b2a22' };
const LIMEWASH = { glaze: 'limewash', colour: '#e6e2d4' };
const band = (glaze: typeof SLEEPER, from: number, to: number): DrawnCoat => ({
  ...{ ...glaze, side: 'outside', from, to, times: 1, method: 'dipped' },
});
const OVERLAP = [band(SLEEPER, 0, 0.66), band(LIMEWASH, 0.34, 1)];

const tile = (coats: readonly DrawnCoat[], bodyColour = CLAY) => (
  <Silhouette
    form="tile"
    heightMm={100}
    widthMm={60}
    coats={coats}
    bodyColour={bodyColour}
    size={56}
    title=""
  />
);
const side = (...pictures: readonly ReactNode[]) => (
  <span style={{ display: 'flex', gap: 6 }}>{pictures}</span>
);

/** The words that are ours, or mean something narrower here than in the trade. */
export const WORDS: readonly Word[] = [
  {
    word: 'band',
    means: 'where a coat lies on a side, from the foot to the rim',
    picture: tile([OVERLAP[0]!]),
  },
  {
    word: 'zone',
    means: 'a stretch of a side where the coats are the same from bottom to top; worked out from the bands',
    picture: tile(OVERLAP),
  },
  {
    word: 'area',
    means:
      'a named part beside the bands, such as a logo that was left free or a handle; it has zones and readings of its own',
    picture: tile([band(SLEEPER, 0, 0.4), band(SLEEPER, 0.6, 1)]),
  },
  {
    word: 'stack',
    means: 'the coats of a zone, bottom first, with how often each was applied',
    picture: tile([band(SLEEPER, 0, 1), band(LIMEWASH, 0.5, 1)]),
  },
  {
    word: 'ground',
    means: 'what the glaze sits on: the bare clay, or the clay with slips at the very bottom',
    picture: side(<span key="a">{tile([], CLAY)}</span>, <span key="b">{tile([], WHITE)}</span>),
  },
  {
    word: 'twin',
    means: 'a piece meant to come out equal: same clay, form, bands, recipe versions and ways of applying',
    picture: side(<span key="a">{tile(OVERLAP)}</span>, <span key="b">{tile(OVERLAP)}</span>),
  },
  {
    word: 'entry',
    means:
      'a stack on a ground, at a cone, in an atmosphere; on the page of its headword it is a numbered sense',
    picture: <Swatch hash={null} colour="#8b7c6a" width={56} height={56} />,
  },
  {
    word: 'proof',
    means:
      'a fired piece that somebody looked at: what an entry rests on. Full marks agree, open ones do not',
    picture: <ProofMarks proofs={5} agreeing={4} height={22} />,
  },
  {
    word: 'apart',
    means:
      'of a proof: shown and not counted, because of its recipe version, or the cone or atmosphere it came to',
    picture: <ProofMarks proofs={3} agreeing={0} height={22} />,
  },
  {
    word: 'reading',
    means: 'what was seen on a zone: surface, movement, colour, defects with where and how bad',
    picture: <DefectGlyph id="pitting" size={48} />,
  },
  {
    word: 'witness cone',
    means: 'a cone beside the ware; its bend says which cone the firing came to',
    picture: <ConeDrawing bend={60} size={56} />,
  },
  {
    word: 'fate',
    means: 'what becomes of a piece: keep, first, second, give, refire, reglaze, grind, discard',
    picture: tile(OVERLAP, WHITE),
  },
  {
    word: 'round',
    means: 'a planned set of tests that becomes numbered pieces',
    picture: side(
      ...[0, 0.25, 0.5].map((from) => <span key={from}>{tile([band(LIMEWASH, from, 1)], CLAY)}</span>),
    ),
  },
  {
    word: 'bench',
    means: 'the strip at the foot of the screen that holds what you picked up',
    picture: <span style={{ display: 'block', width: 56, borderTop: '2px solid var(--ink)', height: 12 }} />,
  },
];
