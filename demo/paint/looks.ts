/** How a fired glaze looks by thickness; colours sRGB "#rrggbb". */
export interface GlazeLook {
  readonly thin: string;
  readonly normal: string;
  readonly pool: string;
  /** How fast it hides what is below, 0.3 clear to 4 opaque, per application. */
  readonly hiding: number;
  /** 0 stiff to 1 fluid: how far it levels, breaks and runs. */
  readonly fluid: number;
  /** Strength of cloudy unevenness and of vertical streaks. */
  readonly mottle: number;
  readonly streak: number;
  /** Dark or light specks a square centimetre. */
  readonly specks?: number;
  /** Its colours after reduction, where they differ. */
  readonly reduced?: Pick<GlazeLook, 'thin' | 'normal' | 'pool'>;
  /** Its colours when the atmosphere was not what it wanted. */
  readonly shifted?: Pick<GlazeLook, 'thin' | 'normal' | 'pool'>;
}

/** How a fired clay looks. */
export interface BodyLook {
  readonly colour: string;
  readonly reduced: string;
  /** Strength of its grain, 0 porcelain to 1 coarse. */
  readonly grain: number;
  /** Iron specks a square centimetre. */
  readonly specks: number;
}

export const BODY_LOOKS: Readonly<Record<string, BodyLook>> = {
  'Buffer White': { colour: '#e3d8c3', reduced: '#d8c7aa', grain: 0.25, specks: 0.4 },
  'Embankment Buff': { colour: '#c9a77c', reduced: '#b08457', grain: 0.6, specks: 3 },
  'Cutting Red': { colour: '#874a30', reduced: '#5d3423', grain: 0.55, specks: 2 },
  'Viaduct Porcelain': { colour: '#efece4', reduced: '#e6e7e4', grain: 0.05, specks: 0 },
  'Tunnel Black': { colour: '#2d2623', reduced: '#241f1d', grain: 0.5, specks: 0 },
};

export const GLAZE_LOOKS: Readonly<Record<string, GlazeLook>> = {
  'Lamp Clear': {
    thin: '#e8e4d8',
    normal: '#dfe2d6',
    pool: '#c6d3c8',
    hiding: 0.14,
    fluid: 0.55,
    mottle: 0.05,
    streak: 0.05,
  },
  Limewash: {
    thin: '#c98f62',
    normal: '#e9e2d2',
    pool: '#f4f0e6',
    hiding: 1.7,
    fluid: 0.35,
    mottle: 0.25,
    streak: 0.1,
  },
  'Guard Green': {
    thin: '#b5bb9c',
    normal: '#93b09c',
    pool: '#5c8f80',
    hiding: 0.75,
    fluid: 0.6,
    mottle: 0.1,
    streak: 0.12,
    reduced: { thin: '#bfd0c4', normal: '#8fb8ac', pool: '#4f8d88' },
    shifted: { thin: '#c0b88c', normal: '#a9a76c', pool: '#7d8245' },
  },
  Sleeper: {
    thin: '#7d3f1c',
    normal: '#2b1a14',
    pool: '#0f0c0d',
    hiding: 2.6,
    fluid: 0.6,
    mottle: 0.12,
    streak: 0.15,
  },
  Ballast: {
    thin: '#a08863',
    normal: '#8b806c',
    pool: '#6d675a',
    hiding: 1.6,
    fluid: 0.25,
    mottle: 0.3,
    streak: 0.05,
    specks: 26,
  },
  'Plum Siding': {
    thin: '#b9a79a',
    normal: '#7d2438',
    pool: '#4b1024',
    hiding: 1.5,
    fluid: 0.7,
    mottle: 0.3,
    streak: 0.35,
    reduced: { thin: '#c8a99c', normal: '#8d1d2f', pool: '#4d0b1c' },
    shifted: { thin: '#bcc4ae', normal: '#6f9c80', pool: '#3d6e59' },
  },
  'Ash Tip': {
    thin: '#a98f56',
    normal: '#8d8a45',
    pool: '#5d6b32',
    hiding: 0.9,
    fluid: 0.85,
    mottle: 0.3,
    streak: 0.6,
  },
  'Chalk Cut': {
    thin: '#d8c3a4',
    normal: '#e6dcc8',
    pool: '#efe9dd',
    hiding: 2.2,
    fluid: 0.1,
    mottle: 0.15,
    streak: 0.03,
  },
  'Slate Bank': {
    thin: '#8f8f8d',
    normal: '#5d7489',
    pool: '#3c5570',
    hiding: 1.6,
    fluid: 0.35,
    mottle: 0.25,
    streak: 0.1,
  },
  'Verdigris Gate': {
    thin: '#8fb3a2',
    normal: '#2f877f',
    pool: '#0d565b',
    hiding: 1.7,
    fluid: 0.65,
    mottle: 0.2,
    streak: 0.2,
  },
  'Brass Plate': {
    thin: '#d0a94e',
    normal: '#b8903a',
    pool: '#8f6d25',
    hiding: 6,
    fluid: 0.02,
    mottle: 0.12,
    streak: 0.05,
  },
  'Rust Yard': {
    thin: '#a0501c',
    normal: '#74300f',
    pool: '#2a100b',
    hiding: 2.2,
    fluid: 0.6,
    mottle: 0.7,
    streak: 0.35,
  },
  'Kettle Blue': {
    thin: '#6f7fae',
    normal: '#2a3f86',
    pool: '#131c54',
    hiding: 2.1,
    fluid: 0.55,
    mottle: 0.12,
    streak: 0.15,
  },
  Lantern: {
    thin: '#d9b3b8',
    normal: '#b34b6b',
    pool: '#8b2c4e',
    hiding: 1.7,
    fluid: 0.35,
    mottle: 0.1,
    streak: 0.05,
  },
  Fogman: {
    thin: '#cfc2ac',
    normal: '#c8ccd2',
    pool: '#aab6c6',
    hiding: 1.1,
    fluid: 0.75,
    mottle: 0.35,
    streak: 0.2,
  },
  Whitestrip: {
    thin: '#dbcbb2',
    normal: '#e7dfcf',
    pool: '#ebe5d8',
    hiding: 3.2,
    fluid: 0,
    mottle: 0.08,
    streak: 0.06,
  },
  Sootline: {
    thin: '#4c3a30',
    normal: '#2b2624',
    pool: '#1d1b1c',
    hiding: 3.2,
    fluid: 0,
    mottle: 0.1,
    streak: 0.08,
  },
  'Points Iron': {
    thin: '#7c4020',
    normal: '#4a2414',
    pool: '#2d1710',
    hiding: 1.4,
    fluid: 0.1,
    mottle: 0.35,
    streak: 0.3,
  },
  'Points Cobalt': {
    thin: '#3f54a0',
    normal: '#22307c',
    pool: '#131a4e',
    hiding: 1.5,
    fluid: 0.1,
    mottle: 0.25,
    streak: 0.25,
  },
};

/** A colour as linear-light red, green, blue in 0 to 1. */
export type Linear = readonly [number, number, number];

/** Reads "#rrggbb" into linear light. */
export function linear(hex: string): Linear {
  const part = (i: number) => {
    const v = parseInt(hex.slice(i, i + 2), 16) / 255;
    return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
  };
  return [part(1), part(3), part(5)];
}
