import { rightOf } from './rights';

test('an address has the right of its page or route, whatever is asked of it', () => {
  const least = (href: string) => rightOf(href)?.least ?? null;
  expect([
    least('/pieces/SW-0001?from=wall#photos'),
    least('/pieces/new'),
    least('/people/groups/01J'),
    least('/api/v1/rounds/01J/bench?way=x'),
    least('/api/v1/pieces.csv'),
    least('/'),
    least('#bucket'),
    least('/nowhere/at/all/there'),
  ]).toEqual(['visitor', 'student', 'student', 'student', 'student', 'visitor', null, null]);
});
