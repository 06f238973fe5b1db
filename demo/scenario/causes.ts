import { analyse } from '../../src/core/chemistry';
import type { DefectId, Place } from '@/core/vocabulary';
import { COAT_THICKNESS, crazesFrom, TOUGHNESS } from '../../src/core/fit';
import type { Random } from '../random';
import { RECIPES } from './recipes';

/** What happened to a zone, as far as it decides how it comes out. */
export interface Circumstances {
  /** Glaze names with their applications in dips, bottom first, slips left out. */
  readonly stack: readonly {
    readonly glaze: string;
    readonly dips: number;
    /** 1e-6/K, of a glaze that is not on the studio's cards. */
    readonly expansion?: number | undefined;
  }[];
  readonly ground: string;
  readonly body: string;
  readonly reduction: boolean;
  readonly cone: string;
  readonly underReduced: boolean;
  readonly slipOnDryClay: boolean;
  /** Fired before: gas that made pits and pinholes is mostly gone. */
  readonly isRefired?: boolean;
}

/** What a zone shows after the firing. */
export interface Result {
  readonly surface: 'gloss' | 'satin' | 'matte' | null;
  readonly movement: 'stable' | 'moves' | 'runs' | null;
  readonly defects: readonly {
    readonly defect: DefectId;
    readonly severity: 1 | 2 | 3;
    readonly place: Place;
  }[];
  readonly note: string;
}

const MATTE = new Set(['Chalk Cut']);
const SATIN = new Set(['Limewash', 'Slate Bank', 'Fogman']);
const RUNNY: Readonly<Record<string, number>> = {
  'Ash Tip': 1.1,
  'Plum Siding': 0.9,
  'Verdigris Gate': 0.55,
  'Rust Yard': 0.45,
  'Guard Green': 0.5,
  Sleeper: 0.4,
  'Kettle Blue': 0.4,
  Fogman: 0.5,
  'Lamp Clear': 0.2,
  Limewash: 0.15,
  'Slate Bank': 0.15,
  'Chalk Cut': 0.05,
  'Brass Plate': 0.02,
};

/** What each body's expansion truly is, 1e-6/K; the clay sheets say something else, or nothing. */
const BODY_EXPANSION: Readonly<Record<string, number>> = {
  'Buffer White': 6.55,
  'Embankment Buff': 6.9,
  'Cutting Red': 7.2,
  'Viaduct Porcelain': 5.5,
  'Tunnel Black': 7.1,
};

const EXPANSION: Readonly<Record<string, number>> = Object.fromEntries(
  Object.entries(RECIPES).map(([name, lines]) => [name, analyse(lines).expansion.appen ?? 6]),
);

/** How far single tiles scatter about the calculation, 1e-6/K. */
const SCATTER = 0.12;

/** Chance that a zone crazes at once: the mismatch of its mixture against what its thickness stands. */
function crazeChance({ stack, body }: Circumstances): number {
  const dips = stack.reduce((sum, layer) => sum + layer.dips, 0);
  const expansion = stack.reduce(
    (sum, layer) => sum + (layer.expansion ?? EXPANSION[layer.glaze] ?? 6) * (layer.dips / dips),
    0,
  );
  const stands = crazesFrom(dips * COAT_THICKNESS.dipped.fired, TOUGHNESS.atOnce);
  return 1 / (1 + Math.exp(-(expansion - BODY_EXPANSION[body]! - stands) / SCATTER));
}

type Found = Result['defects'][number];

/** What another firing may heal, and how much of the chance of it stays. */
const HEALING: ReadonlySet<DefectId> = new Set(['pitting', 'pinholing']);
const HEALS = 0.45;

/**
 * What comes out of what was done, with noise. The causes planted here are the ones the clinic should find:
 * carbide pits where thick, magnesia crawls where thick, a glaze crazes by its mismatch and thickness, an early-sealing glaze
 * on top blisters, iron clay gasses under a stiff white, slip on dry clay lifts, too little reduction turns
 * copper red and celadon green.
 */
export function resultOf(facts: Circumstances, next: Random): Result {
  const { stack, body, ground } = facts;
  const top = stack.at(-1);
  if (!top) return { surface: null, movement: null, defects: slipDefects(facts, next), note: '' };
  const dips = stack.reduce((sum, layer) => sum + layer.dips, 0);
  const own = (name: string) =>
    stack.reduce((sum, layer) => sum + (layer.glaze === name ? layer.dips : 0), 0);
  const has = (name: string) => own(name) > 0;
  const flux = stack.reduce((sum, layer) => sum + (RUNNY[layer.glaze] ?? 0.3) * layer.dips, 0) / dips;
  const run = flux * (0.55 + 0.25 * dips) + (next() - 0.5) * 0.12;
  const found: Found[] = [...slipDefects(facts, next)];
  const heals = (defect: DefectId) => (facts.isRefired && HEALING.has(defect) ? HEALS : 1);
  const add = (chance: number, defect: DefectId, severity: 1 | 2 | 3, place: Place = 'everywhere') => {
    if (next() < chance * heals(defect)) found.push({ defect, severity, place });
  };
  if (has('Plum Siding') && !facts.reduction)
    add(
      own('Plum Siding') >= 2 ? 0.88 : dips >= 3 ? 0.3 : 0.05,
      'pitting',
      own('Plum Siding') >= 2 ? 3 : 2,
      'thick',
    );
  if (has('Chalk Cut')) add(own('Chalk Cut') >= 2 ? 0.6 : 0.06, 'crawling', dips >= 3 ? 3 : 2);
  add(crazeChance(facts), 'crazing', dips >= 2 ? 3 : 2);
  if (top.glaze === 'Fogman' && stack.length > 1) add(0.88, 'blistering', 3, 'overlap');
  if (top.glaze === 'Slate Bank' && stack[0]?.glaze === 'Ash Tip') add(0.8, 'blistering', 2, 'overlap');
  if (body === 'Cutting Red' && ground === body && own('Limewash') >= 2) add(0.4, 'pinholing', 2);
  if (body === 'Cutting Red' && facts.cone === '10') add(0.7, 'bloating', 3);
  if (has('Lamp Clear') && dips >= 3) add(0.7, 'clouding', 2, 'thick');
  if (facts.reduction && facts.underReduced && (has('Plum Siding') || has('Guard Green')))
    add(0.95, 'colour-shift', 2);
  if (run > 1.05) add(0.75, 'running', run > 1.35 ? 3 : 2, 'foot');
  add(0.012, 'speck', 2, 'spot');
  add(0.015, 'pinholing', 1, 'spot');
  const surface = MATTE.has(top.glaze)
    ? 'matte'
    : SATIN.has(top.glaze)
      ? run > 0.75
        ? 'gloss'
        : 'satin'
      : 'gloss';
  return {
    surface: next() < 0.04 && surface === 'gloss' ? 'satin' : surface,
    movement: run > 0.95 ? 'runs' : run > 0.42 ? 'moves' : 'stable',
    defects: found,
    note: noteOn(found, next),
  };
}

function slipDefects(facts: Circumstances, next: Random): Found[] {
  if (!facts.slipOnDryClay || facts.ground === facts.body || next() > 0.85) return [];
  return [{ defect: 'slip-lifting', severity: 3, place: 'rim' }];
}

const NOTES: Readonly<Partial<Record<DefectId, readonly string[]>>> = {
  pitting: ['only where it is thick', 'like orange skin in the double dip'],
  crawling: ['islands, thick rolled edges', 'bare patches as big as a thumb'],
  crazing: ['pinged for an hour', 'tea shows it'],
  blistering: ['foam in the overlap', 'burst ones are sharp'],
  running: ['stopped just short of the shelf', 'ground a drip off the foot'],
  'colour-shift': ['not the red I wanted', 'pea green'],
};

function noteOn(found: readonly Found[], next: Random): string {
  const lines = found.flatMap(({ defect }) => NOTES[defect] ?? []);
  return lines.length && next() < 0.4 ? lines[Math.floor(next() * lines.length)]! : '';
}
