import { labOf } from '../colour';
import { agreementOf, type Seen } from './agreement';
import { colourWords, describe as inWords } from './describe';
import { defectOf, DEFECTS } from '../vocabulary';
import { shareOf, shareOverFirings, shareWords } from './share';

const proof = (id: string, more: Partial<Seen> = {}): Seen => ({
  id,
  pieceId: id,
  firingId: `f${id}`,
  surface: 'satin',
  movement: 'stable',
  colour: labOf('#e0d8c8'),
  defects: [],
  counts: true,
  ...more,
});

describe('agreement of twins', () => {
  test('equal twins agree, and say how closely', () => {
    const sum = agreementOf([proof('a'), proof('b', { colour: labOf('#ded6c6') })]);
    expect(sum).toMatchObject({ proofs: 2, agreeing: 2, differing: [], surface: 'satin' });
    expect(sum.spread).toBeGreaterThan(0);
    expect(sum.spread).toBeLessThan(2);
  });

  test('another surface, another colour, or a plain defect of its own disagrees', () => {
    const odd = [
      proof('gloss', { surface: 'gloss' }),
      proof('dark', { colour: labOf('#402010') }),
      proof('pits', { defects: [{ defect: 'pitting', severity: 2 }] }),
    ];
    expect(agreementOf([proof('a'), proof('b'), proof('c'), proof('d'), ...odd]).differing).toEqual([
      'gloss',
      'dark',
      'pits',
    ]);
  });

  test('a defect most of them share is the rule, and the sound one differs', () => {
    const pitted = (id: string) => proof(id, { defects: [{ defect: 'pitting', severity: 3 }] });
    const sum = agreementOf([pitted('a'), pitted('b'), proof('sound')]);
    expect(sum.differing).toEqual(['sound']);
    expect(sum.defects).toEqual([{ defect: 'pitting', count: 2, severity: 3 }]);
  });

  test('what is only seen when looked for does not count against a twin', () => {
    expect(
      agreementOf([proof('a'), proof('b', { defects: [{ defect: 'speck', severity: 1 }] })]).agreeing,
    ).toBe(2);
  });

  test('older versions and missed firings are not counted', () => {
    expect(agreementOf([proof('a'), proof('old', { counts: false, surface: 'matte' })])).toMatchObject({
      proofs: 1,
      agreeing: 1,
    });
  });

  test('one defect in two places counts once, at its worst', () => {
    const twice = proof('a', {
      defects: [
        { defect: 'pitting', severity: 2 },
        { defect: 'pitting', severity: 3 },
      ],
    });
    expect(agreementOf([twice]).defects).toEqual([{ defect: 'pitting', count: 1, severity: 3 }]);
  });

  const onCup = (id: string, more: Partial<Seen> = {}) =>
    proof(id, { pieceId: 'cup', firingId: 'f1', ...more });
  const pits = { defects: [{ defect: 'pitting' as const, severity: 2 }] };

  test('a cup with the same stack inside and on its rim is one proof, not three', () => {
    const cup = [onCup('inside'), onCup('rim', { surface: null, colour: null }), onCup('foot')];
    expect(agreementOf(cup)).toMatchObject({ proofs: 1, firings: 1, agreeing: 1, divided: [] });
    const six = agreementOf([...cup, proof('tile', { surface: 'gloss' }), proof('other')]);
    expect(six).toMatchObject({ proofs: 3, firings: 3, agreeing: 2, differing: ['tile'] });
    expect(agreementOf([...cup.map((zone) => ({ ...zone, ...pits })), proof('tile')]).defects).toEqual([
      { defect: 'pitting', count: 1, severity: 2 },
    ]);
  });

  test('a piece that differs, differs with all its zones', () => {
    const odd = [onCup('inside', { surface: 'gloss' }), onCup('foot', { surface: 'gloss' })];
    expect(agreementOf([proof('a'), proof('b'), ...odd]).differing).toEqual(['inside', 'foot']);
  });

  test.each([
    ['surface', { surface: 'gloss' }],
    ['colour', { colour: labOf('#402010') }],
    ['defects', pits],
  ])('a pot whose zones differ in %s is divided: shown, counted neither way', (_, more) => {
    const sum = agreementOf([proof('tile'), onCup('thin'), onCup('thick', more)]);
    expect(sum).toMatchObject({ proofs: 1, agreeing: 1, divided: ['thin', 'thick'], defects: [] });
    expect(inWords(agreementOf([onCup('thin'), onCup('thick', more)]), null)).toMatchObject({
      proved: 'no piece that agrees with itself',
      defects: expect.stringContaining('counted neither way'),
    });
  });

  test('pieces of one firing are not yet repeatable, and say so', () => {
    const together = ['a', 'b', 'c'].map((id) => proof(id, { firingId: 'f1' }));
    expect(inWords(agreementOf(together), null).proved).toBe(
      '3 pieces agree, all of one firing: not yet repeatable',
    );
    expect(inWords(agreementOf([...together, proof('d')]), null).proved).toBe('4 pieces agree, 2 firings');
  });

  test('nothing to go on gives words, not numbers', () => {
    const sum = agreementOf([]);
    expect(sum).toMatchObject({ proofs: 0, agreeing: 0, spread: null, colour: null, surface: null });
    expect(inWords(sum, null)).toMatchObject({
      look: 'Not described yet.',
      defects: 'not looked for',
      proved: 'not proved yet',
    });
  });
});

test('an entry is described in plain words', () => {
  const pitted = proof('a', { movement: 'runs', defects: [{ defect: 'pitting', severity: 2 }] });
  expect(
    inWords(
      agreementOf([
        pitted,
        { ...pitted, id: 'b', pieceId: 'b', firingId: 'fb' },
        proof('c', { movement: 'runs' }),
      ]),
      '#21409a',
    ),
  ).toEqual({
    look: 'Satin, dark blue.',
    moves: 'runs: keep off the lower third, use a cookie',
    defects: 'pitting 2 of 3',
    proved: '2 of 3 pieces agree, 3 firings',
  });
});

test.each([
  ['#ffffff', 'white'],
  ['#101010', 'black'],
  ['#e9e2d2', 'cream'],
  ['#7d2438', 'dark red'],
  ['#2f877f', 'blue-green'],
  ['#2b1a14', 'brown-black'],
])('%s is called %s', (hex, words) => expect(colourWords(hex)).toBe(words));

test('every defect can be told from the others and has an id of its own', () => {
  expect(new Set(DEFECTS.map((defect) => defect.id)).size).toBe(DEFECTS.length);
  expect(new Set(DEFECTS.map((defect) => defect.name)).size).toBe(DEFECTS.length);
  expect(defectOf('shivering')?.caution).toMatch(/never use on food/);
  expect(defectOf('melting')).toBeUndefined();
});

test('a share of one firing has no interval, and says so', () => {
  expect(shareWords(shareOverFirings(5, 24, 1))).toBe('5 of 24, one firing');
  expect(shareWords(shareOverFirings(5, 24, 2))).toBe(shareWords(shareOf(5, 24)));
  expect(shareWords(shareOverFirings(0, 0, 0))).toBe('none of none');
});
