'use client';
import { defectOf, type DefectId } from '@/core/vocabulary';

/** Strokes and solid parts of one drawing on a 32 × 32 field. */
interface Drawing {
  readonly line?: string;
  readonly solid?: string;
}

/** A defect in section (glaze surface near y 13, body near y 24) and in plan (seen from above). */
interface Glyph {
  readonly section: Drawing;
  readonly plan: Drawing;
}

const BODY = 'M2 25H30';
const dot = (x: number, y: number, r: number) =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;
const dots = (r: number, ...at: readonly (readonly [number, number])[]) =>
  at.map(([x, y]) => dot(x, y, r)).join('');

const GLYPHS: Readonly<Record<DefectId, Glyph>> = {
  crazing: {
    section: { line: `M2 13H30M8 13V24M16 13V24M24 13V24${BODY}` },
    plan: {
      line: 'M3 12L11 9L18 13L29 8M11 9L13 3M18 13L16 22L24 29M16 22L8 25L3 22M8 25L9 29M18 13L24 18L29 17M24 18V29',
    },
  },
  shivering: {
    section: { line: `M2 14H14M17 13L28 5L30 9L20 17Z${BODY}` },
    plan: { line: 'M3 3H29V7L21 10L29 15V19L23 21L29 25V29H3Z' },
  },
  dunting: {
    section: { line: 'M2 11H15M18 11H30M2 28H13M17 28H30M15 7L13 14L18 20L14 31' },
    plan: { line: 'M11 2L15 9L11 16L18 22L14 30M14 2L18 9L14 16L21 22L17 30' },
  },
  crawling: {
    section: { line: `M2 25C2 12 12 12 12 25M20 25C20 12 30 12 30 25${BODY}` },
    plan: {
      line: 'M4 6C9 2 14 5 12 10C10 15 4 13 4 6ZM20 4C27 3 29 9 25 12C21 14 17 8 20 4ZM8 20C13 17 18 21 15 26C11 30 4 26 8 20ZM23 19C28 18 30 24 26 27C21 28 20 21 23 19Z',
    },
  },
  pinholing: {
    section: { line: `M2 13H12Q14 13 14 16V25M18 25V16Q18 13 20 13H30M2 25H14M18 25H30` },
    plan: { solid: dots(1.8, [9, 8], [21, 6], [15, 15], [25, 19], [7, 22], [18, 26]) },
  },
  pitting: {
    section: { line: `M2 13H6Q7 18 10 18T14 13H18Q19 17 22 17T26 13H30${BODY}` },
    plan: { line: dots(2.4, [8, 8], [22, 7], [15, 16], [25, 22], [8, 24]) },
  },
  blistering: {
    section: {
      line: `M2 14H6C6 4 18 4 18 14H21L22 9M27 9L28 14H30M22 14Q25 20 28 14${dot(12, 15, 4)}${BODY}`,
    },
    plan: { line: `${dot(10, 10, 6)}${dot(23, 22, 5)}M7 24L9 20L13 21M25 6L22 9L26 11${dot(10, 10, 2.4)}` },
  },
  bloating: {
    section: { line: 'M2 16H6C9 4 23 4 26 16H30M2 25H7C10 14 22 14 25 25H30' },
    plan: { line: `${dot(16, 16, 12)}${dot(15, 15, 7)}${dot(14, 14, 2.5)}` },
  },
  running: {
    section: { line: 'M10 3V29M10 3Q13 8 13 15Q13 20 17 24Q20 29 15 29H4' },
    plan: {
      line: 'M3 5H29M4 5V12Q6 16 8 12V22Q10.500 28 13 22V14Q15 18 17 14V27Q19.500 31 22 27V13Q25 18 28 13V5',
    },
  },
  underfired: {
    section: { line: `M2 14L5 11L7 15L10 11L13 14L16 10L19 15L22 11L25 14L28 11L30 13${BODY}` },
    plan: {
      solid: dots(
        1,
        [6, 6],
        [12, 9],
        [20, 5],
        [26, 10],
        [8, 16],
        [16, 15],
        [23, 18],
        [5, 25],
        [13, 24],
        [20, 26],
        [27, 25],
      ),
    },
  },
  overfired: {
    section: { line: `M2 20Q10 24 16 21T30 20${dots(2, [9, 16], [22, 15])}M2 28Q16 32 30 28` },
    plan: {
      line: `M3 6Q10 12 16 6T29 7M3 15Q10 21 16 15T29 16M3 24Q10 30 16 24T29 25${dots(1.8, [10, 14], [23, 21])}`,
    },
  },
  'slip-lifting': {
    section: { line: `M2 20H13L25 11M2 14H12L22 6M22 6L25 11${BODY}` },
    plan: { line: 'M3 3H29V14L23 17L26 23L18 29H3ZM29 14L22 12L18 19L23 24L18 29' },
  },
  'colour-loss': {
    section: { line: `M2 13H30${BODY}M5 16V22M8 16V22M11 17V22M15 18V22M20 19V22` },
    plan: { line: 'M3 3H29V29H3ZM6 4V28M9 4V28M13 4V28M18 4V28' },
  },
  'colour-shift': {
    section: {
      line: `M2 13H30${BODY}M16 13V25M5 16L8 22M9 16L12 22`,
      solid: dots(1, [20, 17], [25, 17], [22, 21], [27, 21]),
    },
    plan: {
      line: `${dot(16, 16, 12)}M16 4V28M6 12L12 26M9 7L15 21`,
      solid: dots(1.2, [20, 11], [24, 16], [20, 21]),
    },
  },
  clouding: {
    section: { line: `M2 11H30${BODY}${dots(1.4, [6, 16], [12, 20], [16, 15], [21, 19], [26, 16])}` },
    plan: {
      line: dots(
        1.3,
        [9, 12],
        [13, 8],
        [18, 10],
        [23, 13],
        [7, 18],
        [13, 16],
        [19, 17],
        [25, 19],
        [11, 23],
        [17, 24],
        [22, 25],
      ),
    },
  },
  patchy: {
    section: { line: `M2 13H8L9 20H15L16 12H21L22 22H26L27 14H30${BODY}` },
    plan: {
      line: 'M4 8L12 4L16 9L10 14ZM18 6L28 5L27 14L20 13ZM5 19L13 18L15 27L6 28ZM19 19L25 18L28 25L21 28ZM6 9L12 7M20 9L26 8M7 22L13 21M22 22L26 22',
    },
  },
  speck: {
    section: { line: `M2 14H12M20 14H30${BODY}`, solid: dot(16, 13, 4) },
    plan: { line: 'M3 3H29V29H3Z', solid: 'M14 14L18 12L21 16L18 20L13 18Z' },
  },
  'dry-wash': {
    section: { line: `M2 16H9M23 16H30M9 16V12L11 15L13 10L15 15L17 10L19 15L21 11L23 16${BODY}` },
    plan: {
      line: 'M5 24C11 4 21 28 27 8',
      solid: dots(1, [8, 14], [12, 21], [14, 10], [19, 13], [20, 22], [25, 17]),
    },
  },
  bleeding: {
    section: { line: `M2 13H30${BODY}M13 13Q15 18 8 24M19 13Q17 18 24 24` },
    plan: { line: 'M16 3V29M16 6L10 9M16 10L22 12M16 14L8 18M16 18L23 22M16 22L11 27M16 8L21 6M16 25L20 28' },
  },
  coring: {
    section: { line: 'M3 8H29V24H3Z', solid: 'M7 16C10 11 22 11 25 16C22 21 10 21 7 16Z' },
    plan: { line: `${dot(16, 16, 12)}`, solid: dot(16, 16, 6) },
  },
  'body-crack': {
    section: { line: 'M2 10H12L16 22L20 10H30M2 27H30' },
    plan: { line: 'M10 3L14 12L13 20L17 29L19 20L18 12L14 3Z' },
  },
  warping: {
    section: { line: 'M2 10Q16 22 30 10M2 16Q16 28 30 16M2 29H30' },
    plan: { line: 'M4 16C4 6 28 8 28 15C28 26 6 28 4 16Z' },
  },
  stuck: {
    section: {
      line: 'M7 3V20M25 3V20M7 20H25M2 26H30M7 20Q6 25 3 26M11 20L10 26M16 20V26M21 20L22 26M25 20Q26 25 29 26',
    },
    plan: {
      line: `${dot(16, 16, 12)}`,
      solid: 'M8 9L12 8L11 13ZM21 8L25 12L20 12ZM10 22L15 24L11 27ZM22 21L25 19L24 24Z',
    },
  },
  'pop-out': {
    section: { line: `M2 11H7L16 22L25 11H30M2 28H30M10 6L16 12L22 6`, solid: dot(16, 20, 2.2) },
    plan: { line: `${dot(16, 16, 10)}`, solid: dot(16, 16, 2.6) },
  },
  'raw-flaking': {
    section: { line: `M2 15Q6 20 10 14M12 13Q16 20 20 12M22 9Q26 16 30 8${BODY}` },
    plan: {
      line: 'M3 4L13 3L11 12L4 14ZM16 3L28 5L27 13L17 13ZM4 18L14 16L13 27L5 28ZM18 17L23 16L22 24L17 26Z',
      solid: 'M26 24L29 23L28 28Z',
    },
  },
  explosion: {
    section: {
      line: 'M12 16L4 12L6 20ZM19 13L22 4L26 10ZM19 20L28 20L25 27ZM12 22L8 29L15 28ZM13 11L11 3L17 6Z',
    },
    plan: {
      line: 'M14 14L5 9L8 17ZM18 13L20 3L26 9ZM19 19L29 18L26 26ZM13 20L7 28L15 29Z',
      solid: dots(1.2, [16, 16], [11, 5], [28, 13], [4, 23]),
    },
  },
  'handling-break': {
    section: { line: 'M2 13H14L18 17L15 21L20 25H2M23 15L29 12L30 22L25 23Z' },
    plan: { line: 'M28 12A13 13 0 1 0 24 26L21 21L25 18L20 15Z' },
  },
  'missed-patch': {
    section: { line: `M2 13H10V25M21 25V13H30${BODY}` },
    plan: { line: 'M3 3H29V29H3ZM11 12L18 9L23 14L20 21L12 22L9 17Z' },
  },
  'kiln-wash': {
    section: { line: 'M4 4L8 22H24L28 4M2 28H30', solid: dots(1.6, [10, 25], [16, 25], [22, 25]) },
    plan: {
      line: `${dot(16, 16, 12)}${dot(16, 16, 8)}`,
      solid: dots(1.6, [16, 5], [25, 12], [23, 24], [8, 23], [6, 13]),
    },
  },
  'dirty-foot': {
    section: { line: 'M4 4L8 22H24L28 4M12 22V27M17 22V29M21 22V26' },
    plan: { line: `${dot(16, 16, 12)}${dot(16, 16, 8)}M6 9L11 12M22 7L20 11M25 22L21 20` },
  },
};

function Part({ drawing, x }: { drawing: Drawing; x: number }) {
  return (
    <g transform={x ? `translate(${x} 0)` : undefined}>
      {drawing.line && (
        <path
          d={drawing.line}
          fill="none"
          stroke="currentColor"
          strokeWidth={1.7}
          strokeLinejoin="round"
          strokeLinecap="round"
        />
      )}
      {drawing.solid && <path d={drawing.solid} fill="currentColor" />}
    </g>
  );
}

/**
 * The drawing of a defect: in section when small, in plan and section side by side from 48 px up.
 * Give `labelled` when its word stands beside it, so that it is not read out twice.
 */
export function DefectGlyph({
  id,
  size = 24,
  labelled = false,
}: {
  id: string;
  size?: number;
  labelled?: boolean;
}) {
  const defect = defectOf(id);
  if (!defect) return null;
  const { section, plan } = GLYPHS[defect.id];
  const both = size >= 48;
  return (
    <svg
      width={both ? size * 2.125 : size}
      height={size}
      viewBox={both ? '0 0 68 32' : '0 0 32 32'}
      {...(labelled ? { 'aria-hidden': true } : { role: 'img', 'aria-label': defect.name })}
    >
      {!labelled && <title>{defect.name}</title>}
      {both && <Part drawing={plan} x={0} />}
      <Part drawing={section} x={both ? 36 : 0} />
    </svg>
  );
}
