import { findAddress, nearWords, readFindQuery } from './findQuery';

test('the address holds what is asked for; what is not understood is left out', () => {
  const asked = readFindQuery({
    colour: '#93b09c',
    cone: '6',
    stays: '1',
    surface: 'shiny',
    clay: 'x',
    sound: 'yes',
  });
  expect(asked).toEqual({ colour: '#93b09c', cone: '6', stays: '1' });
  expect(findAddress(asked)).toBe('/find?colour=%2393b09c&cone=6&stays=1');
  expect(findAddress(asked, { stays: undefined, surface: 'matte' })).toBe(
    '/find?colour=%2393b09c&cone=6&surface=matte',
  );
  expect(findAddress({})).toBe('/find');
});

test('a difference is said for the eye', () => {
  expect([0.5, 3, 7, 11].map(nearWords)).toEqual(['barely visible', 'close', 'near', 'similar']);
});
