import { JUDGE_CRITERIA } from '@/core/vocabulary';
import type { JudgedGlaze } from '@/records/dictionary';
import { knownWords } from './judgeWords';

const NOTHING: JudgedGlaze = {
  ...{ colours: [], breaks: null, moves: [], thickness: [], repeatable: null, held: null, notHeld: null },
  over: { pieces: 0, sound: 0, defects: [] },
  under: { pieces: 0, sound: 0, defects: [] },
  said: [],
};

test('what the records know is said with its pieces', () => {
  const judged: JudgedGlaze = {
    ...NOTHING,
    moves: [
      { movement: 'stable', count: 4 },
      { movement: 'runs', count: 1 },
    ],
    thickness: [
      { times: 1, sound: { count: 5, of: 5 } },
      { times: 2, sound: { count: 0, of: 1 } },
    ],
    over: { pieces: 12, sound: 3, defects: [{ defect: 'blistering', count: 9 }] },
    repeatable: { count: 1, of: 1 },
    held: { count: 2, of: 3 },
    notHeld: { count: 0, of: 1 },
  };
  const said = (['moves', 'thickness', 'over', 'repeatable', 'plain firing'] as const).map((one) =>
    knownWords(judged, one, false),
  );
  expect(said).toEqual([
    'stable on 4, runs on 1',
    '1 coat: 5 of 5 sound, 2 coats: 0 of 1 sound',
    '12 pieces: blistering on 9, sound on 3',
    '1 of 1 piece as the others',
    'without a hold in the programme 0 of 1 sound, with a hold in the programme 2 of 3 sound',
  ]);
});

test('where nothing is known nothing is said, and only its card says what a glaze is for', () => {
  for (const one of JUDGE_CRITERIA)
    if (one !== 'colour') expect([one, knownWords(NOTHING, one, false)]).toEqual([one, null]);
  expect(knownWords(NOTHING, 'use', true)).toBe('decorative ware only, by its card');
});
