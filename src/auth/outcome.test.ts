import { z } from 'zod';
import { Conflict, NotThere, Refusal } from '@/records/platform';
import { failed, outcomeOf } from './outcome';

test('what a person can mend comes back as faults that name the field', () => {
  const wrong = z
    .object({ coats: z.array(z.object({ times: z.number('Type a number.') })) })
    .safeParse({ coats: [{ times: 'x' }] });
  expect(outcomeOf(wrong.error)).toEqual({
    ok: false,
    faults: [{ field: 'coats.0.times', message: 'Type a number.' }],
  });
  expect(outcomeOf(new Refusal('name', 'Taken.'))).toEqual(failed('name', 'Taken.'));
  expect(outcomeOf(new NotThere('Piece SW-1'))).toEqual(failed('', 'Piece SW-1 is not there.'));
});

test('a conflict hands the other values up, ready for the wire', () => {
  const outcome = outcomeOf(new Conflict({ note: 'theirs', at: new Date(0) }, 4));
  expect(outcome).toMatchObject({ ok: false, theirs: { note: 'theirs', at: '1970-01-01T00:00:00.000Z' } });
});

test('a fault of the program is not dressed up as one of the person', () => {
  expect(() => outcomeOf(new TypeError('undefined is not a function'))).toThrow(TypeError);
});
