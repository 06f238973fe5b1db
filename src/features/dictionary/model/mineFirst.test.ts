import type { Usual } from '@/records/pieces';
import { isMine, mineFirst } from './mineFirst';

const usual: Usual = {
  ...{ form: 'cup', bodyId: 'b', series: null },
  ...{ groundId: 'red', cone: '6', atmosphere: 'oxidation' },
};
const sense = (groundId: string, cone: string) => ({ groundId, cone, atmosphere: 'oxidation' as const });
const senses = [sense('white', '10'), sense('white', '6'), sense('red', '10'), sense('red', '6')];

test('own clay and fire come first, then own clay, then own fire; others keep their order', () => {
  const [a, b, c, d] = senses;
  expect(mineFirst(senses, usual)).toEqual([d, c, b, a]);
  expect(mineFirst(senses, null)).toBe(senses);
  expect(mineFirst([a!, sense('grey', '10')], usual)[0]).toBe(a);
});

test('only the same clay from the same fire is somebody’s own', () => {
  expect(senses.map((one) => isMine(one, usual))).toEqual([false, false, false, true]);
  expect(isMine(senses[3]!, { ...usual, cone: null })).toBe(false);
});
