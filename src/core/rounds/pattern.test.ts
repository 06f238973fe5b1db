import {
  clayComparison,
  coatsLadder,
  coatsOfStack,
  dressed,
  entriesOfCell,
  everyLevel,
  levelWords,
  needsOf,
  overlapGrid,
  placesOf,
  PLAIN_PUT,
  repeated,
  verdictsOn,
  type Pattern,
  type SeenLevel,
  type SeenPiece,
} from '.';

const [A, B] = [{ name: 'A' }, { name: 'B' }];

describe('how a round is glazed', () => {
  const tile = { form: 'tile', heightMm: 100, widthMm: 60 } as const;
  const slip = { glaze: 'S', times: 1, method: 'brush', place: 'all over' } as const;
  const pattern: Pattern = {
    ...{ below: [slip], put: PLAIN_PUT, above: [] },
    putOver: { method: 'spray', place: 'upper two thirds' },
  };
  const kindOf = (glaze: string) => (glaze === 'S' ? 'slip' : 'glaze');
  const six = { cone: '6', atmosphere: 'oxidation' } as const;

  test('what is tested lies between what all have, each in its place and way', () => {
    const [, pair] = overlapGrid([A, B]).cells;
    const coats = coatsOfStack(dressed(pair!, pattern, tile).stack!, tile);
    expect(
      coats.map(({ glaze, method, side, from, to }) => [glaze, method, side, from, Number(to.toFixed(2))]),
    ).toEqual([
      ['S', 'brush', 'outside', 0, 1],
      ['A', 'dip', 'outside', 0.1, 1],
      ['B', 'spray', 'outside', 1 / 3, 1],
    ]);
  });

  test('a band test proves an entry for each stack: the lower alone, and both, on the slip as ground', () => {
    const [, pair] = overlapGrid([A, B]).cells;
    const { stack } = dressed(pair!, pattern, tile);
    expect(entriesOfCell(stack!, tile, 'red', six, kindOf)).toEqual([
      'red|~S*1:brushed|6|oxidation',
      'red+S|A*1:dipped|6|oxidation',
      'red+S|A*1:dipped;B*1:sprayed|6|oxidation',
    ]);
  });

  test('a place that the form has not is the usual one; a mug has two sides', () => {
    const liner = { ...pattern, below: [], put: { method: 'dip', place: 'liner' } } as const;
    const [single] = coatsLadder([A], 1).cells;
    expect(coatsOfStack(dressed(single!, liner, tile).stack!, tile)[0]).toMatchObject({
      side: 'outside',
      from: 0.1,
    });
    const mug = { form: 'mug', heightMm: 90, widthMm: 80 } as const;
    expect(coatsOfStack(dressed(single!, liner, mug).stack!, mug)[0]).toMatchObject({
      side: 'inside',
      from: 0,
    });
    const own = { ...tile, bands: [{ name: 'collar', from: 0.6, to: 0.7 }] };
    expect(placesOf(own)[0]).toEqual({ name: 'collar', bands: [{ side: 'outside', from: 0.6, to: 0.7 }] });
  });

  test('is repeated on every clay, texture and target, each part named by what sets it apart', () => {
    const targets = [six, { cone: '10', atmosphere: 'reduction' }] as const;
    const levels = everyLevel({ bodies: ['red', 'white'], textures: ['combed'], targets });
    expect(levels).toHaveLength(4);
    const { cells } = repeated(coatsLadder([A], 2), levels);
    expect(cells.map(({ label }) => label)).toEqual([
      '1-A1',
      '1-A2',
      '2-A1',
      '2-A2',
      '3-A1',
      '3-A2',
      '4-A1',
      '4-A2',
    ]);
    expect(levelWords(levels, (id) => id)[1]).toBe('red, cone 10 reduction');
    // A kind that varies the clay itself keeps its own.
    const own = repeated(clayComparison([A], ['x', 'y']), everyLevel({ bodies: [], textures: [], targets }));
    expect(own.cells.map(({ body, target }) => `${body}${target!.cone}`)).toEqual(['x6', 'y6', 'x10', 'y10']);
  });

  test('grams of a coat whose thickness nobody knows are not known; vessels take their wall', () => {
    const mug = { form: 'mug', heightMm: 90, widthMm: 80 } as const;
    const sprayed = { ...pattern, put: { method: 'spray', place: '' } } as const;
    const cells = coatsLadder([A], 1).cells.map((cell) => dressed(cell, sprayed, mug));
    const needs = needsOf(cells, 2, mug);
    expect(needs.glazeGrams.A).toBeNull();
    expect(needs.glazeGrams.S).toBeGreaterThan(0);
    expect(needsOf(cells, 2, mug, { clayGrams: 400 }).clayGrams).toBe(800);
    expect(needs.clayGrams).toBeGreaterThan(2 * 200);
  });
});

describe('the verdict across clays', () => {
  const seen = (more: Partial<SeenPiece> = {}): SeenPiece => ({
    ...{ firing: 'f', colour: '#7a5a3c', surface: 'gloss', movement: 'stable', defects: [] },
    ...more,
  });
  const on = (level: string, ...pieces: SeenPiece[]) => ({ level, pieces });

  const verdictOf = (...levels: SeenLevel[]) => verdictsOn([levels])[0]!;

  test('hardly matters where twins differ as much', () => {
    const told = verdictOf(on('red', seen(), seen({ colour: '#7f5f40' })), on('white', seen(), seen()));
    expect(told).toMatchObject({ matters: 'hardly', read: 2, of: 2, pieces: 2 });
    expect(told.differences).toEqual([expect.stringMatching(/^colour: difference [0-3]\.\d between/)]);
  });

  const pale = seen({ colour: '#d8d2c4', surface: 'matte', defects: ['crazing'] });
  const times = (n: number, piece: SeenPiece): SeenPiece[] => Array.from({ length: n }, () => piece);

  test('matters plainly by a colour that twins share; counts of two are called small', () => {
    const told = verdictOf(on('red', seen(), seen()), on('white', pale, pale), on('black'));
    expect(told).toMatchObject({ matters: 'plainly', read: 2, of: 3 });
    expect(told.differences).toEqual([
      expect.stringMatching(/^colour: difference \d\d\.\d between red and white, twins differ by 0\.0$/),
      'gloss: 2 of 2 on red, 0 of 2 on white (so few may be chance)',
      'crazing: 0 of 2 on red, 2 of 2 on white (so few may be chance)',
    ]);
  });

  test('by two pieces of each, without a colour, it may matter and no more; by six it does', () => {
    const bare = (piece: SeenPiece) => ({ ...piece, colour: null });
    const of = (n: number) =>
      verdictOf(on('red', ...times(n, bare(seen()))), on('white', ...times(n, bare(pale))));
    expect(of(2).matters).toBe('may');
    expect(of(6).matters).toBe('plainly');
    expect(of(6).differences[1]).toBe('crazing: 0 of 6 on red, 6 of 6 on white');
  });

  test('one of each has no twins, and levels of firings of their own tell the firing as much as the clay', () => {
    expect(verdictOf(on('red', seen()), on('white', pale)).matters).toBe('may');
    const elsewhere = times(6, { ...pale, firing: 'g' });
    const told = verdictOf(on('red', ...times(6, seen())), on('white', ...elsewhere));
    expect(told.matters).toBe('may');
    expect(told.differences[1]).toBe('gloss: 6 of 6 on red, 0 of 6 on white (in different firings)');
  });

  test('what one test alone would prove is not proved where it is the best of twenty', () => {
    // 4 of 4 against 0 of 4: p = 1/35 alone.
    const crazed = seen({ colour: null, defects: ['crazing'] });
    const sound = seen({ colour: null });
    const found = [on('red', ...times(4, crazed)), on('white', ...times(4, sound))];
    expect(verdictOf(...found).matters).toBe('plainly');
    const mixed = [on('red', crazed, ...times(3, sound)), on('white', ...times(4, sound))];
    const all = verdictsOn([found, ...Array.from({ length: 19 }, () => mixed)]);
    expect(all.map(({ matters }) => matters)).toEqual(['may', ...Array.from({ length: 19 }, () => 'hardly')]);
  });

  test('is none until two are read', () => {
    expect(verdictOf(on('red', seen()), on('white'))).toMatchObject({ matters: null, read: 1, of: 2 });
  });
});
