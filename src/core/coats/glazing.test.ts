import { FORMS, formShape } from '../vocabulary';
import { coreCoat, ownPattern, patternOf, PLAIN_COAT, USUAL_PATTERNS, zonesOf } from '.';

const measures = (form: (typeof FORMS)[number]) => {
  const { heightMm, widthMm } = formShape(form);
  return { form, heightMm, widthMm };
};
const coatsOf = (name: string, form: (typeof FORMS)[number]) => {
  const pattern = USUAL_PATTERNS.find((one) => one.name === name)!;
  return pattern
    .coatsOn(measures(form))
    ?.map(({ glaze, ...coat }) => ({ role: pattern.glazes[glaze]!.role, ...coat }));
};

test.each(FORMS)(
  'what is laid on a %s lies on sides that it has, from the foot up, each glaze used',
  (form) => {
    const { sides, plan } = formShape(form);
    for (const { name, glazes, coatsOn } of USUAL_PATTERNS) {
      const coats = coatsOn(measures(form));
      if (!coats) continue;
      const isSound = coats.every(
        ({ side, from, to }) => sides.includes(side) && from >= 0 && from < to && to <= 1,
      );
      expect([name, isSound]).toEqual([name, true]);
      for (const [i, { isOptional }] of glazes.entries())
        expect([name, i, isOptional || coats.some(({ glaze }) => glaze === i)]).toEqual([name, i, true]);
    }
    // Flat ware has no lower and upper part; what is called outside is never its upper face.
    expect(coatsOf('thirds: lower two, upper two', form) === undefined).toBe(plan);
    for (const coat of coatsOf('liner and outside', form) ?? [])
      expect(coat.side).toBe(coat.role === 'liner' ? 'inside' : 'outside');
    expect(coatsOf('all over', form)!.map(({ side }) => side)).toEqual(sides);
  },
);

test('a piece gives its way of glazing, which lays other glazes as they lay on it', () => {
  const coat = { ...PLAIN_COAT, method: 'dip' as const, times: 1, side: 'outside' as const, from: 0, to: 1 };
  const coats = [
    { ...coat, glazeId: 'A' },
    { ...coat, glazeId: 'B', from: 0.5, times: 2 },
    { ...coat, glazeId: 'A', from: 0.9 },
    // Put on after its firing.
    { ...coat, glazeId: 'C', firingId: 'later' },
  ];
  const pattern = ownPattern(patternOf('half way', { areas: [], coats }));
  expect(pattern.glazes).toHaveLength(2);
  const laid = pattern.coatsOn(measures('cup'))!;
  const zones = zonesOf(
    laid.map(({ glaze, method, times, ...place }) =>
      coreCoat({
        ...{ ...PLAIN_COAT, ...place, glazeId: `G${glaze}`, glazeKind: 'glaze' },
        ...{ method: method!, times: times! },
      }),
    ),
  );
  expect(
    zones
      .filter(({ side }) => side === 'outside')
      .map(({ from, stack }) => [from, stack.map((layer) => layer.glaze)]),
  ).toEqual([
    [0, ['G0']],
    [0.5, ['G0', 'G1']],
    [0.9, ['G0', 'G1', 'G0']],
  ]);
});
