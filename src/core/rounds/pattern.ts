import {
  coreCoat,
  entryKey,
  groundOf,
  PLAIN_COAT,
  zonesOf,
  type Coat,
  type Ground,
  type Stack,
} from '../coats';
import { formShape, coatPlaces, type Band, type GlazeKind, type Measures, type Method } from '../vocabulary';
import { MIXTURE, type Cell, type CellLayer, type FiringTarget } from './model';

/** How a layer of a pattern is put on, and where: the name of a usual place, or empty for where most tests have it. */
export interface PutOn {
  readonly method: Method;
  readonly place: string;
}

/** A layer that all tests of a round have, or one of a test put together by hand. */
export interface PatternLayer extends PutOn {
  readonly glaze: string;
  readonly times: number;
}

/** How all tests of a round are glazed. */
export interface Pattern {
  /** Below what is tested, bottom first. */
  readonly below: readonly PatternLayer[];
  readonly put: PutOn;
  /** Of the upper glaze where two are laid over each other. */
  readonly putOver: PutOn;
  /** Above what is tested, bottom first. */
  readonly above: readonly PatternLayer[];
}

export const PLAIN_PUT: PutOn = { method: 'dip', place: '' };

/** What a round is made on: its measures, and the bands that are usual on a form of the studio's own. */
export interface TestForm extends Measures {
  readonly bands?: readonly { readonly name: string; readonly from: number; readonly to: number }[];
}

/** How far from the foot the coats of a test begin, so that nothing runs onto the shelf. */
const OFF_THE_FOOT = 0.1;

/** Where a test is glazed when nobody says where: its outside but for the foot; of flat ware all of the upper face. */
export function usualBand({ form }: Pick<Measures, 'form'>): Band {
  const { plan, sides } = formShape(form);
  return plan ? { side: 'inside', from: 0, to: 1 } : { side: sides[0]!, from: OFF_THE_FOOT, to: 1 };
}

/** The name of the usual place. @example usualPlace({ form: 'tile' }) // 'all but the foot' */
export function usualPlace({ form }: Pick<Measures, 'form'>): string {
  return formShape(form).plan ? 'all over' : 'all but the foot';
}

/** The places that a coat of a round can have, by name; the usual bands of the studio's own form first. */
export function placesOf(piece: TestForm): { readonly name: string; readonly bands: readonly Band[] }[] {
  const { side } = usualBand(piece);
  const own = (piece.bands ?? []).map(({ name, from, to }) => ({ name, bands: [{ side, from, to }] }));
  const usual = coatPlaces(piece).map(({ name, bands }) => ({
    name,
    bands: bands.map((band) => ({ ...band, side: band.side ?? side })),
  }));
  return [...own, ...usual];
}

/** A layer of a cell: what is as in most tests is left unsaid. A place that the form has not is the usual one. */
export function layerOf(
  { glaze, times, method, place }: PatternLayer,
  places: ReturnType<typeof placesOf>,
): CellLayer {
  const bands = places.find(({ name }) => name === place)?.bands;
  return { glaze, times, ...(method !== 'dip' && { method }), ...(bands && { bands }) };
}

/** The cell glazed after a pattern: what it tests, between the layers that all tests have. */
export function dressed(cell: Cell, { below, put, putOver, above }: Pattern, piece: TestForm): Cell {
  const places = placesOf(piece);
  const tested = cell.stack ?? [{ glaze: MIXTURE, times: 1 }];
  const stack = [
    ...below.map((layer) => layerOf(layer, places)),
    ...tested.map((layer, i) => layerOf({ ...layer, ...(i === 0 ? put : putOver) }, places)),
    ...above.map((layer) => layerOf(layer, places)),
  ];
  return { ...cell, stack };
}

/** The coats that a stack comes to on a piece, in the order of work. */
export function coatsOfStack(
  stack: readonly CellLayer[],
  piece: Pick<Measures, 'form'>,
): (Pick<CellLayer, 'glaze' | 'times'> & Band & { readonly method: Method })[] {
  return stack.flatMap(({ glaze, times, method = 'dip', bands = [usualBand(piece)] }) =>
    bands.map(({ side, from, to }) => ({ glaze, times, method, side, from, to })),
  );
}

/**
 * The entries of the dictionary that a test will prove, by their keys: one for each stack that its coats come to.
 *
 * @param body of the cell
 * @param kindOf of a glaze: a slip below all is of the ground
 * @example entriesOfCell([{ glaze: 'A', times: 1 }], tile, 'red', six, () => 'glaze') // ['red|A*1:dipped|6|oxidation']
 */
export function entriesOfCell(
  stack: readonly CellLayer[],
  piece: Pick<Measures, 'form'>,
  body: string,
  target: FiringTarget,
  kindOf: (glaze: string) => GlazeKind,
): string[] {
  const coats = coatsOfStack(stack, piece).map(({ glaze, ...coat }): Coat =>
    coreCoat({ ...PLAIN_COAT, ...coat, glazeId: glaze, glazeKind: kindOf(glaze) }),
  );
  const zones = zonesOf(coats).filter((zone) => zone.stack.length > 0);
  return [...new Set(zones.map((zone) => entryOf(groundOf(body, zone.stack), target)))];
}

/** The key of an entry that was fired once. */
export function entryOf({ ground, stack }: { ground: Ground; stack: Stack }, target: FiringTarget): string {
  return entryKey({ ground, stack, ...target, history: [target] });
}

/** Whether a stack is glazed as most tests are: dipped, where they have it. */
export function isPlainStack(stack: readonly CellLayer[]): boolean {
  return stack.every(({ method, bands }) => !method && !bands);
}
