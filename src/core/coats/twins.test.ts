import { PLAIN_AREA, twinText, type TwinCoat, type TwinFacts } from '.';

const coat = (more: Partial<TwinCoat> = {}): TwinCoat => ({
  ...{ glazeId: 'sleeper', glazeKind: 'glaze', versionId: 'sleeper 1', method: 'dip', times: 1 },
  ...{ side: 'outside', from: 0.1, to: 1, wiped: false, cover: null, clay: null, grams: null, pieces: null },
  ...{ firingId: null, area: null, not: [] },
  ...more,
});

const piece = (more: Partial<TwinFacts> = {}): TwinFacts => ({
  ...{
    bodyId: 'red',
    form: 'tile',
    formId: null,
    texture: {},
    areas: [],
    roundCellId: null,
    coats: [coat()],
  },
  ...more,
});

test('twins are equal in everything that decides how they come out', () => {
  const liner = coat({ side: 'inside', versionId: 'clear 1' });
  const different: Partial<TwinFacts>[] = [
    {},
    { bodyId: 'white' },
    { form: 'cup' },
    { formId: 'own' },
    { coats: [coat({ grams: 3 })] },
    { coats: [coat({ pieces: 3 })] },
    { texture: { outside: ['stamped'] } },
    { coats: [coat({ versionId: 'sleeper 2' })] },
    { coats: [coat({ method: 'spray' })] },
    { coats: [coat({ times: 2 })] },
    { coats: [coat({ from: 0.2 })] },
    { coats: [coat({ side: 'left' })] },
    { coats: [coat({ wiped: true })] },
    { coats: [coat({ clay: 'leather-hard' })] },
    { areas: [{ ...PLAIN_AREA, name: 'fins', side: 'outside', from: 0.5, to: 1, bodyId: 'white' }] },
    { areas: [{ ...PLAIN_AREA, name: 'fins', side: 'outside', from: 0.5, to: 1, texture: ['combed'] }] },
    { areas: [{ ...PLAIN_AREA, name: 'fins', side: 'outside', from: 0.5, to: 1 }] },
    { coats: [coat({ cover: { kind: 'fade', towards: 'rim' } })] },
    { coats: [coat({ cover: { kind: 'pattern', name: 'dots', percent: 20 } })] },
    { coats: [coat({ cover: { kind: 'pattern', name: 'dots', percent: 60 } })] },
    { coats: [coat(), liner] },
    { coats: [coat({ glazeKind: 'resist', from: 0.5 }), coat()] },
    { coats: [coat({ glazeKind: 'resist', from: 0.6 }), coat()] },
    { coats: [coat({ firingId: 'f' }), coat({ versionId: 'limewash 1', firingId: 'f' })] },
    { coats: [coat({ firingId: 'f' }), coat({ versionId: 'limewash 1', firingId: 'g' })] },
    { coats: [] },
    { coats: [], roundCellId: 'A1' },
    { coats: [], roundCellId: 'A2' },
  ];
  const texts = different.map((more) => twinText(piece(more)));
  expect(new Set(texts).size).toBe(texts.length);
});

test('twins stay twins in another order of sides, round or firing, and when one is fired first', () => {
  const liner = coat({ side: 'inside', versionId: 'clear 1' });
  const text = twinText(piece({ coats: [coat(), liner] }));
  expect(twinText(piece({ coats: [liner, coat()] }))).toBe(text);
  expect(twinText(piece({ coats: [coat(), liner], roundCellId: 'A1' }))).toBe(text);
  const fired = [coat(), liner].map((one) => ({ ...one, firingId: 'f' }));
  expect(twinText(piece({ coats: fired }))).toBe(text);
});
