import { judgedGlaze, judgeGlaze } from '@/records/dictionary';
import { Conflict } from '@/records/platform';
import { dip, fired, freshStudio, readAll, tile, type Studio } from './studio';

let studio: Studio;
beforeAll(async () => {
  studio = await freshStudio('judgement');
});
afterAll(() => studio.base.destroy());

test('a glaze is judged by the pieces that count: alone, over and under, each once', async () => {
  const { base, member, glazes } = studio;
  const alone = tile(studio, [dip(glazes.Sleeper, 0, 1, { times: 2 })]);
  const both = tile(studio);
  const { firingId } = await fired(studio, [alone, alone, both]);
  await readAll(studio, firingId, (n, zone) => ({
    movement: n === 0 ? 'runs' : 'stable',
    defects:
      zone.headword === 'Limewash over Sleeper'
        ? [{ defect: 'blistering', severity: 2, place: 'overlap' }]
        : [{ defect: 'pinholing', severity: 1, place: 'rim' }],
  }));
  // One that came out too hot says nothing.
  const hot = await fired(studio, [alone]);
  await readAll(studio, hot.firingId, () => ({ movement: 'runs' }));
  await base('firing').where({ id: hot.firingId }).update({ achieved_cone: 9 });
  const sleeper = await judgedGlaze(base, glazes.Sleeper);
  expect(sleeper.moves).toEqual([
    { movement: 'stable', count: 2 },
    { movement: 'runs', count: 1 },
  ]);
  expect(sleeper.thickness).toEqual([
    { times: 1, sound: { count: 1, of: 1 } },
    { times: 2, sound: { count: 2, of: 2 } },
  ]);
  expect(sleeper.over.pieces).toBe(0);
  expect(sleeper.under).toEqual({ pieces: 1, sound: 0, defects: [{ defect: 'blistering', count: 1 }] });
  expect(sleeper.colours.map(({ clay, pieces }) => [clay, pieces])).toEqual([['Cutting Red', 3]]);
  expect((await judgedGlaze(base, glazes.Limewash)).over.defects).toEqual([
    { defect: 'blistering', count: 1 },
  ]);

  const of = { glazeId: glazes.Sleeper, criterion: 'drying' as const };
  await judgeGlaze(base, member, { ...of, from: '', to: 'a minute to the touch' });
  await judgeGlaze(base, member, { ...of, from: '', to: 'a minute to the touch' });
  await expect(judgeGlaze(base, member, { ...of, from: '', to: 'slowly' })).rejects.toThrow(Conflict);
  expect((await judgedGlaze(base, glazes.Sleeper)).said).toMatchObject([
    { criterion: 'drying', words: 'a minute to the touch', by: 'Ines Varga' },
  ]);
  await judgeGlaze(base, member, { ...of, from: 'a minute to the touch', to: '' });
  expect((await judgedGlaze(base, glazes.Sleeper)).said).toEqual([]);
});
