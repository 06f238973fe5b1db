import { readNames } from './names';

test('a pasted list gives each name once, without bullets, numbers and further columns', () => {
  const text = ' Lamp Clear\n- Limewash\n2. Guard Green\tceladon\t6\n\nlimewash\r\nSleeper,\n• Plum Siding ';
  expect(readNames(text, ['LAMP CLEAR']).fresh).toEqual([
    'limewash',
    'Guard Green',
    'Sleeper',
    'Plum Siding',
  ]);
  expect(readNames(text, ['LAMP CLEAR']).there).toEqual(['Lamp Clear']);
  expect(readNames(' \n\t\n', [])).toEqual({ fresh: [], there: [] });
});

test('a number that is part of the name stays', () => {
  expect(readNames('3134 base\n10% ash', []).fresh).toEqual(['3134 base', '10% ash']);
});
