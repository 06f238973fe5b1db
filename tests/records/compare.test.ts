import { METRIC, sayMessage } from '@/core/units';
import { newId } from '@/records/platform';
import { piecePage, type PiecePage, savePieces } from '@/records/pieces';
import { recordPiece } from '@/records/openings';
import { colourOf, explained, rowsOf, zonesToCompare, zoneWords } from '@/features/pieces/model/zones';
import { besideModel } from '@/features/pieces/model/againstModel';
import { ageInWords, lateReadings } from '@/features/pieces/model/late';
import { dip, fired, freshStudio, readAll, tile, type Studio } from './studio';

let studio: Studio;
beforeAll(async () => {
  studio = await freshStudio('compare');
});
afterAll(() => studio.base.destroy());

/** The pages of pieces fired together and read, each by its own look. */
async function firedAlike(
  drafts: readonly ReturnType<typeof tile>[],
  look: NonNullable<Parameters<typeof readAll>[2]>,
): Promise<PiecePage[]> {
  const { firingId, ids } = await fired(studio, drafts);
  await readAll(studio, firingId, look);
  return Promise.all(ids.map((id) => piecePage(studio.base, id)));
}

const pits = [{ defect: 'pitting' as const, severity: 2 as const, place: 'thick' as const }];

test('pieces are compared by the stack they share, and one thing done differently explains them', async () => {
  const { glazes } = studio;
  const [once, twice] = await firedAlike(
    [
      tile(studio, [dip(glazes.Sleeper, 0, 1, { seconds: 3 })]),
      tile(studio, [dip(glazes.Sleeper, 0, 1, { seconds: 9 })]),
    ],
    (n) => (n === 0 ? { colour: '#553322' } : { colour: '#775544', defects: pits, surface: 'satin' }),
  );
  const compared = zonesToCompare([once!, twice!], []);
  expect(compared.map(({ zone, piece }) => sayMessage(zoneWords(zone!, piece), METRIC))).toEqual([
    'Sleeper, all over',
    'Sleeper, all over',
  ]);
  const rows = rowsOf(compared);
  const valuesOf = (name: string) => rows.find((row) => row.name.startsWith(name))!.values;
  expect(valuesOf('Seconds')).toEqual(['3 s', '9 s']);
  expect(valuesOf('Defects')).toEqual(['none', 'pitting']);
  expect(valuesOf('Colour')[0]).toBe('0.0');
  expect(Number(valuesOf('Colour')[1])).toBeGreaterThan(3);
  expect(explained(rows)).toBe(
    'Only one thing was done differently, the seconds: as far as was noted, it explains the difference (surface, defects, colour).',
  );
});

test('where no stack is shared the thickest zone speaks, and a zone that is asked for is taken', async () => {
  const { glazes } = studio;
  const [mixed, plain] = await firedAlike(
    [
      tile(studio, [dip(glazes.Limewash, 0, 0.6), dip(glazes.Limewash, 0.3, 1)]),
      tile(studio, [dip(glazes.Sleeper, 0, 1)]),
    ],
    () => ({}),
  );
  const [thick] = zonesToCompare([mixed!, plain!], []);
  expect(thick!.zone!.stack).toMatchObject([{ times: 2 }]);
  const thin = mixed!.firings[0]!.zones.find(({ stack }) => stack[0]?.times === 1)!;
  expect(zonesToCompare([mixed!, plain!], [thin.id, ''])[0]!.zone!.id).toBe(thin.id);
  expect(explained(rowsOf(zonesToCompare([mixed!, plain!], [])))).toContain('glazes');
  // Two zones of one piece beside each other.
  const both = zonesToCompare([mixed!, mixed!], [thin.id, thick!.zone!.id]);
  expect(both.map(({ zone }) => zone!.stack[0]!.times)).toEqual([1, 2]);
});

test('pieces without a stack in common open on the zones of a headword that all have', async () => {
  const { glazes } = studio;
  const [one, other] = await firedAlike(
    [
      tile(studio, [dip(glazes.Sleeper, 0, 0.3, { times: 2 }), dip(glazes.Limewash, 0.3, 1, { times: 4 })]),
      tile(studio, [dip(glazes.Sleeper, 0, 1)]),
    ],
    () => ({}),
  );
  const compared = zonesToCompare([one!, other!], []);
  expect(compared.map(({ zone }) => zone!.headword)).toEqual(['Sleeper', 'Sleeper']);
});

test('a piece that was never fired has nothing to be compared, and says so', async () => {
  const { base, member } = studio;
  const [made] = await savePieces(base, member, tile(studio), [newId()]);
  const page = await piecePage(base, made!.id);
  const [one] = zonesToCompare([page], []);
  expect([one!.firing, one!.zone, colourOf(one!.zone)]).toEqual([null, null, null]);
  expect(rowsOf([one!]).slice(0, 2)).toMatchObject([
    { name: 'Glazes', values: ['not fired'] },
    { name: 'Ground', values: [page.body] },
  ]);
  expect(explained(rowsOf([one!]))).toBe('');
});

test('a piece stands beside its model stack by stack, with what came out otherwise', async () => {
  const { glazes } = studio;
  const layers = [dip(glazes.Sleeper, 0, 0.66), dip(glazes.Limewash, 0.34, 1)];
  const [model, like] = await firedAlike(
    [tile(studio, layers), tile(studio, [layers[0]!, dip(glazes.Limewash, 0.34, 1, { times: 2 })])],
    (n) =>
      n === 0
        ? { colour: '#553322', surface: 'satin' }
        : { colour: '#553322', movement: 'runs', defects: pits, surface: null },
  );
  const beside = besideModel(like!, model!);
  // The upper layers are of another thickness: only what is the same can be held against it.
  expect(beside.map(({ zone }) => zone.headword)).toEqual(['Sleeper']);
  expect(beside[0]).toMatchObject({
    away: 0,
    otherwise: ['runs, the model stable', 'pitting, the model no defect'],
  });
  expect(besideModel(model!, model!)).toHaveLength(3);
  expect(besideModel(model!, model!).every(({ away, otherwise }) => away === 0 && !otherwise.length)).toBe(
    true,
  );
});

test('a later look adds its defect and keeps what was said; looked at again, it is there once', async () => {
  const { base, member, glazes } = studio;
  const [piece] = await firedAlike([tile(studio, [dip(glazes.Sleeper, 0, 1)])], () => ({
    surface: 'satin',
    colour: '#553322',
    defects: pits,
  }));
  const look = { defect: 'crazing' as const, ageDays: 150, note: 'ink shows it' };
  const later = async () => {
    const { firings, id } = await piecePage(base, piece!.id);
    const { zones, firingId } = firings.at(-1)!;
    const readings = lateReadings(zones, look, () => newId());
    await recordPiece(base, member, { pieceId: id, firingId, state: 'read', fate: null, readings });
    const page = await piecePage(base, id);
    return page.firings.at(-1)!.zones[0]!.readings.filter(({ ended }) => !ended);
  };
  for (let looks = 0; looks < 2; looks++) {
    const live = await later();
    expect(live).toHaveLength(1);
    expect(live[0]).toMatchObject({
      surface: 'satin',
      colour: '#553322',
      ageDays: 150,
      note: 'ink shows it',
    });
    expect(live[0]!.defects.map(({ defect }) => defect).sort()).toEqual(['crazing', 'pitting']);
  }
});

test.each([
  [0, 'the same day'],
  [1, '1 day'],
  [59, '59 days'],
  [60, '2 months'],
  [150, '5 months'],
  [729, '24 months'],
  [730, '2 years'],
])('%d days are %s', (days, words) => {
  expect(ageInWords(days)).toBe(words);
});
