import { PLAIN_AREA, zonesOf } from '@/core/coats';
import {
  addCoat,
  drawnCoats,
  emptyDraft,
  movedCoat,
  onOtherSide,
  otherGlaze,
  sidesFor,
  withCoat,
  withEdge,
  withForm,
  withoutCoat,
  type GlazeChoice,
} from './draft';
import { newPieceSchema, pieceSchema } from '../schema';

const glaze = (id: string, kind: GlazeChoice['kind'] = 'glaze'): GlazeChoice => ({
  id: id.padEnd(26, '0'),
  name: id,
  kind,
  colour: '#777777',
  advice: '',
  movement: null,
  opaque: null,
  usualMethod: null,
  usualTimes: null,
  versionId: '1',
  versions: [{ id: '1', number: 1 }],
  batches: [],
});
const [sleeper, limewash, slip, wax, wash] = [
  glaze('S'),
  glaze('W'),
  glaze('V', 'slip'),
  glaze('X', 'resist'),
  glaze('Y', 'wash'),
];
const byId = new Map([sleeper, limewash, slip, wax, wash].map((one) => [one.id, one]));
const BODY = 'B'.padEnd(26, '0');
const blank = () => emptyDraft('tile', BODY);

test('the second coat comes from the rim down, so that two taps make three tests', () => {
  const draft = addCoat(addCoat(blank(), sleeper), limewash);
  expect(draft.coats.map(({ from, to }) => [from, to])).toEqual([
    [0, 0.66],
    [0.34, 1],
  ]);
  expect(zonesOf(drawnCoats(draft, byId))).toHaveLength(3);
  expect(draft.coats.map((coat) => [coat.dryBefore, coat.clay])).toEqual([
    [null, null],
    [null, null],
  ]);
});

test('a slip covers all, and does not push the first glaze up', () => {
  const draft = addCoat(addCoat(blank(), slip), sleeper);
  expect(draft.coats.map(({ from, to }) => [from, to])).toEqual([
    [0, 1],
    [0, 0.66],
  ]);
});

test('washes and waxes are brushed, and say what they are', () => {
  const draft = addCoat(addCoat(blank(), wax), wash);
  expect(draft.coats.map((coat) => coat.method)).toEqual(['brush', 'brush']);
  expect(drawnCoats(withCoat(draft, 1, { wiped: true }), byId).map((coat) => coat.mark)).toEqual([
    'resist',
    'wiped',
  ]);
});

test('the newest batch of a glaze is taken', () => {
  const batches = [
    { id: 'N'.padEnd(26, '0'), code: 'new', versionNumber: 1 },
    { id: 'Q'.padEnd(26, '0'), code: 'old', versionNumber: 1 },
  ];
  expect(addCoat(blank(), { ...sleeper, batches }).coats[0]!.batchId).toBe(batches[0]!.id);
});

test('an edge moves by whole millimetres, stays on the piece, and never passes the other edge', () => {
  const draft = addCoat(blank(), sleeper);
  expect(withEdge(draft, 0, 'to', 0.5037).coats[0]!.to).toBe(0.5);
  expect(withEdge(draft, 0, 'to', 3).coats[0]!.to).toBe(1);
  expect(withEdge(draft, 0, 'from', -1).coats[0]!.from).toBe(0);
  const squeezed = withEdge(draft, 0, 'from', 0.9).coats[0]!;
  expect(squeezed.from).toBeLessThan(squeezed.to);
  const flat = withEdge(withEdge(draft, 0, 'from', 0.3), 0, 'to', 0.1).coats[0]!;
  expect(flat.to - flat.from).toBeGreaterThan(0.005);
});

test('coats change places, leave, and an impossible move changes nothing', () => {
  const draft = addCoat(addCoat(blank(), sleeper), limewash);
  expect(movedCoat(draft, 0, 1).coats.map((coat) => coat.glazeId)).toEqual([limewash.id, sleeper.id]);
  expect(movedCoat(draft, 0, -1)).toBe(draft);
  expect(movedCoat(draft, 1, 2)).toBe(draft);
  expect(withoutCoat(draft, 0).coats.map((coat) => coat.glazeId)).toEqual([limewash.id]);
});

test('another form takes its usual size and keeps the bands on sides it has', () => {
  const split = withCoat(addCoat({ ...blank(), split: true }, sleeper), 0, { side: 'left' });
  const cup = withForm(split, 'cup');
  expect(cup).toMatchObject({ split: false, heightMm: 90, widthMm: 80 });
  expect(cup.coats[0]!.side).toBe('outside');
  expect(sidesFor(cup)).toEqual(['outside', 'inside']);
  expect(withForm(cup, 'plate').coats[0]!.side).toBe('outside');
  expect(sidesFor(split)).toEqual(['outside', 'left', 'right']);
});

test('a coat without a glaze, or typed out of range, is not drawn and is refused at its field', () => {
  const draft = withCoat(addCoat(blank(), sleeper), 0, { from: -1 });
  expect(drawnCoats(draft, byId)).toEqual([]);
  const errors = (value: unknown) =>
    pieceSchema.safeParse(value).error?.issues.map((issue) => issue.path.join('.'));
  expect(errors(draft)).toEqual(['coats.0.from']);
  expect(errors({ ...draft, coats: [{ ...draft.coats[0], from: 0.5, to: 0.5 }] })).toEqual(['coats.0.to']);
  expect(errors({ ...blank(), bodyId: '', heightMm: NaN })).toEqual(['heightMm', 'bodyId']);
  expect(errors({ ...draft, coats: [{ ...draft.coats[0], from: 0, glazeId: '', times: 0.5 }] })).toEqual([
    'coats.0.glazeId',
    'coats.0.times',
  ]);
  expect(errors(addCoat(blank(), sleeper))).toBeUndefined();
});

test('between one and sixty pieces are saved at once, under ids made here', () => {
  const ok = (ids: unknown) => newPieceSchema.safeParse({ ids, draft: blank() }).success;
  expect(ok([BODY])).toBe(true);
  expect(ok([])).toBe(false);
  expect(ok(Array(61).fill(BODY))).toBe(false);
  expect(ok(['1; drop table piece'])).toBe(false);
});

test('a slanting edge that is not typed yet is drawn level, and nothing breaks', () => {
  const clear = glaze('clear');
  const draft = addCoat(emptyDraft('mug', 'b'), clear);
  const drawn = (rise: number) => {
    const slanting = withCoat(draft, 0, { cover: { kind: 'slope', rise } });
    return drawnCoats(slanting, new Map([[clear.id, clear]])).map(({ cover }) => cover);
  };
  expect([drawn(Number.NaN), drawn(0), drawn(-1)]).toEqual([[undefined], [undefined], [undefined]]);
  expect(drawn(0.2)).toEqual([undefined, 'partly']);
});

test('an area goes with its piece to another form; a drawing only where one looks at it alike', () => {
  const outline = [
    [0.4, 0.4],
    [0.6, 0.4],
    [0.5, 0.6],
  ] as const;
  const logo = { ...PLAIN_AREA, name: 'logo', side: 'inside', from: 0.4, to: 0.6, outline } as const;
  const mug = { ...emptyDraft('mug', 'b'), areas: [logo] };
  expect(withForm(mug, 'vase').areas).toEqual([logo]);
  expect(withForm(mug, 'tile').areas).toEqual([{ ...logo, side: 'outside' }]);
  expect(withForm(mug, 'plate').areas).toEqual([{ ...logo, outline: null }]);
});

test('a coat becomes one of another glaze in its place, and lies on the other side too', () => {
  const fired = { ...addCoat(emptyDraft('cup', 'b'), sleeper).coats[0]!, firingId: 'f' };
  const other = { ...sleeper, id: 'other', batches: [{ id: 'batch', code: 'O1', versionNumber: 1 }] };
  expect(otherGlaze({ firingId: null }, other)).toMatchObject({ glazeId: 'other', batchId: 'batch' });
  expect(otherGlaze(fired, other)).toMatchObject({ batchId: null });
  expect(otherGlaze(fired, { ...other, kind: 'ash' })).toMatchObject({ method: 'scatter' });
  const cup = {
    ...emptyDraft('cup', 'b'),
    coats: [{ ...fired, side: 'outside' as const, from: 0.2 }, fired],
  };
  const both = onOtherSide(cup, 0).coats;
  expect(both.map(({ side, from }) => [side, from])).toEqual([
    ['outside', 0.2],
    ['inside', 0.2],
    [fired.side, fired.from],
  ]);
  const tile = { ...emptyDraft('tile', 'b'), coats: [fired] };
  expect(onOtherSide(tile, 0)).toBe(tile);
});
