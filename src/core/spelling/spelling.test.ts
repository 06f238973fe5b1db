import { meant } from '.';

const KNOWN = ['limewash', 'sleeper', 'guard', 'green', 'buffer', 'white', 'pitting', 'ash'];

test('letters left out, doubled, turned round or wrong are forgiven', () => {
  expect(meant(['limwash', 'sleepper', 'gaurd', 'buffor'], KNOWN)).toEqual([
    'limewash',
    'sleeper',
    'guard',
    'buffer',
  ]);
});

test('a wrong letter in a word that is half typed is forgiven too', () => {
  expect(meant(['limew', 'slaep'], KNOWN)).toEqual(['limew', 'sleeper']);
});

test('short words, numbers and what is near to nothing stay', () => {
  expect(meant(['bsh', '558', 'turquoise'], KNOWN)).toEqual(['bsh', '558', 'turquoise']);
});
