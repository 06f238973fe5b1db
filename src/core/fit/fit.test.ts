import {
  BOIL_TEST,
  bandOf,
  bodyFigure,
  calibrate,
  crazesFrom,
  firedThickness,
  fitOf,
  reachOf,
  TOUGHNESS,
  toughnessAt,
  verdictWords,
  type FitTile,
} from '.';

/** A steady source of numbers from 0 to 1. */
function steady(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1_664_525 + 1_013_904_223) % 4_294_967_296;
    return state / 4_294_967_296;
  };
}

describe('the band of a verdict', () => {
  const on = (glazeExpansion: number, miss: number, thicknessMm = 0.3) =>
    bandOf({ glazeExpansion, bodyExpansion: 6.6, thicknessMm }, miss);

  test('holds every verdict the miss could turn it into, in order', () => {
    expect(on(6.6, 0.5).verdicts).toEqual(['crazes later', 'fits']);
    expect(on(7.0, 0.5).verdicts).toEqual(['crazes', 'crazes later', 'fits']);
    expect(on(8.2, 0.5)).toMatchObject({ verdicts: ['crazes'], sure: true });
    expect(on(4.3, 0.5).verdicts).toEqual(['fits', 'may shiver']);
    expect(on(6.6, 0).sure).toBe(true);
  });

  test('is said as what it is: a calculation alone, or what so many tiles bear out', () => {
    const none = { tiles: 0, tilesOf: {} };
    expect(verdictWords(on(6.6, 0.5), none)).toBe(
      'fits (calculated); could craze later; this clay’s limit is from its data sheet, none of your tiles yet',
    );
    expect(verdictWords(on(7.0, 0.5), none)).toMatch(/^crazes later \(calculated\); could craze or fit/);
    const basis = { tiles: 14, tilesOf: { a: 10, b: 4 } };
    expect(verdictWords(on(8.2, 0.5), basis, 'c')).toBe(
      'crazes (calculated); this clay’s limit rests on 14 tiles of 2 glazes, none of this one',
    );
    expect(verdictWords(on(8.2, 0.5), basis, 'b')).toMatch(/of 2 glazes, 4 of this one$/);
  });

  test('crazesFrom is fitOf the other way round', () => {
    for (const thicknessMm of [0.1, 0.3, 0.6, 2]) {
      const mismatch = crazesFrom(thicknessMm, TOUGHNESS.atOnce);
      const fit = fitOf({ glazeExpansion: 6 + mismatch, bodyExpansion: 6, thicknessMm });
      expect(fit.criticalMm).toBeCloseTo(thicknessMm, 9);
    }
  });
});

test('thickness counts dips and thirds of a dip, leaves slips out, and is not known of other ways', () => {
  expect(
    firedThickness([
      { glaze: 'slip', times: 1, slip: true },
      { glaze: 'a', times: 2, way: 'dipped' },
      { glaze: 'b', times: 3, way: 'brushed' },
      { glaze: 'wash', times: 1, mark: 'wiped' },
    ]),
  ).toBeCloseTo(0.9, 9);
  for (const way of ['poured', 'sprayed', 'trailed', 'sponged', 'inlaid'] as const)
    expect(firedThickness([{ glaze: 'a', times: 1, way }])).toBeNull();
});

describe('a body learned from tiles', () => {
  /** Tiles of glazes of many expansions on a body that is truly 5.5, each crazing by its own scattered reach. */
  function tilesOn(truth: number, count: number, seed = 7): FitTile[] {
    const next = steady(seed);
    return Array.from({ length: count }, (_, i) => {
      const tile = {
        glaze: `glaze ${i % 10}`,
        glazeExpansion: truth + 0.1 + (i % 10) * 0.13,
        thicknessMm: i % 2 ? 0.6 : 0.3,
        ageDays: i % 3 ? 0 : 365,
      };
      return { ...tile, crazed: reachOf({ ...tile, crazed: false }) + (next() - 0.5) * 0.3 > truth };
    });
  }

  test('is found again within its interval, which narrows with more tiles', () => {
    const width = (count: number) => {
      const found = calibrate(tilesOn(5.5, count));
      if (!found.enough) throw new Error(found.why);
      expect(found.limit.low).toBeLessThanOrEqual(5.5);
      expect(found.limit.high).toBeGreaterThanOrEqual(5.5);
      expect(Math.abs(found.limit.value - 5.5)).toBeLessThan(0.15);
      return found.limit.high - found.limit.low;
    };
    expect(width(160)).toBeLessThan(width(40));
  });

  test('the interval covers the truth about as often as it says', () => {
    const covered = Array.from({ length: 60 }, (_, seed) =>
      calibrate(tilesOn(6.2, 30, seed * 977 + 1)),
    ).filter((found) => found.enough && found.limit.low <= 6.2 && found.limit.high >= 6.2).length;
    expect(covered).toBeGreaterThan(52);
  });

  test('says what is missing when there are not enough, and what can be said all the same', () => {
    expect(calibrate([])).toMatchObject({ enough: false, why: expect.stringContaining('20 more tiles') });
    const sound = tilesOn(5.5, 40).filter((tile) => !tile.crazed);
    const found = calibrate(sound);
    expect(found).toMatchObject({ enough: false, why: expect.stringContaining('crazed ones'), below: null });
    expect(!found.enough && found.above).toBeCloseTo(Math.max(...sound.map(reachOf)), 9);
    const one = tilesOn(5.5, 40).map((tile) => ({ ...tile, glaze: 'the same' }));
    expect(calibrate(one)).toMatchObject({ enough: false, why: expect.stringContaining('more glazes') });
  });

  test('a sound tile says more the older it is, once boiled, on a body that takes up water, and less on thin ware', () => {
    const tile = { glaze: 'a', glazeExpansion: 6, thicknessMm: 0.3, crazed: false, ageDays: 0 };
    expect(reachOf({ ...tile, ageDays: 730 })).toBeGreaterThan(reachOf(tile) + 0.25);
    expect(reachOf({ ...tile, shockK: BOIL_TEST })).toBeGreaterThan(reachOf(tile) + 0.25);
    expect(reachOf({ ...tile, ageDays: 730, absorption: 10 })).toBeGreaterThan(
      reachOf({ ...tile, ageDays: 730 }) + 0.5,
    );
    expect(reachOf({ ...tile, wallMm: 3 })).toBeLessThan(reachOf(tile) - 0.05);
    // The eighteenth root of its hours: by hand, 0.75 · 17520^(−1/18).
    expect(toughnessAt(0)).toBe(0.75);
    expect(toughnessAt(730)).toBeCloseTo(0.4358, 4);
  });

  test('so many tiles alike count as so many, but one glaze never outweighs the others', () => {
    const tiles = tilesOn(5.5, 20);
    const bundled = calibrate([...tiles, ...tiles]);
    const counted = calibrate(tiles.map((tile) => ({ ...tile, count: 2 })));
    expect(counted).toEqual(bundled);
    const loud = calibrate([
      ...tiles,
      { ...tiles[0]!, glaze: 'loud', glazeExpansion: 9, crazed: false, count: 500 },
    ]);
    expect(loud.enough && loud.limit.value).toBeLessThan(6.6);
  });

  test('a tile with several zones is one tile, and each glaze says how many it has', () => {
    const found = calibrate(
      tilesOn(5.5, 40).map((tile) => ({ ...tile, glaze: tile.glaze, piecesOfGlaze: 2 })),
    );
    const limit = found.enough ? found.limit : null;
    expect(limit!.tiles).toBe(2 * Object.keys(limit!.tilesOf).length);
    expect(limit!.crazed + limit!.sound).toBe(40);
  });

  test('outranks the sheet and says by how much; without either there is no figure', () => {
    const found = calibrate(tilesOn(5.5, 40));
    const figure = bodyFigure(5.8, found)!;
    expect(figure.tiles).toBe(40);
    expect(figure.shift).toBeCloseTo(figure.expansion - 5.8, 9);
    expect(bodyFigure(5.8, calibrate([]))).toEqual({
      expansion: 5.8,
      miss: 0.5,
      tiles: 0,
      tilesOf: {},
      shift: null,
    });
    expect(bodyFigure(null, calibrate([]))).toBeNull();
  });
});
