import { plansOf } from './plans';

const wish = (more: Partial<Parameters<typeof plansOf>[0][number]> = {}) => ({
  ...{ baseId: 'S', topId: 'L', bodyId: null, cone: null, atmosphere: null },
  ...{ baseTimes: null, topTimes: null, facts: '' },
  ...more,
});

test('what was asked for at another cone, atmosphere or on another clay is planned there', () => {
  const ten = {
    cone: '10',
    atmosphere: 'reduction',
    bodyId: 'B',
    facts: 'on Cutting Red, cone 10 reduction',
  } as const;
  const plans = plansOf([
    wish(),
    wish({ ...ten, topTimes: 2, facts: `${ten.facts}, 2× over it` }),
    wish({ topId: 'S', baseTimes: 3 }),
    wish({ ...ten, baseId: 'X' }),
  ]);
  expect(plans.map(({ count, words }) => [count, words])).toEqual([
    [2, ''],
    [2, 'on Cutting Red, cone 10 reduction'],
  ]);
  const [any, reduction] = plans.map(({ address }) => new URL(address, 'http://studio').searchParams);
  expect([any!.get('pairs'), any!.get('cone')]).toEqual(['S*1.L*1,S*3', null]);
  expect(Object.fromEntries(reduction!)).toMatchObject({
    pairs: 'S*1.L*2,X*1.L*1',
    cone: '10',
    atmosphere: 'reduction',
    bodies: 'B',
  });
});
