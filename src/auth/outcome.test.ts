import { z } from 'zod';
import { Conflict, NotFound, Refusal } from '@/records/platform';
import { failure, failureOf } from './outcome';

test('what a person can fix comes back as errors that name the field', () => {
  const wrong = z
    .object({ coats: z.array(z.object({ times: z.number('Type a number.') })) })
    .safeParse({ coats: [{ times: 'x' }] });
  expect(failureOf(wrong.error)).toEqual({
    ok: false,
    code: 'invalid',
    errors: [{ field: 'coats.0.times', message: 'Type a number.' }],
  });
  expect(failureOf(new Refusal('name', 'Taken.'))).toEqual(failure('refused', 'Taken.', 'name'));
  expect(failureOf(new NotFound('Piece SW-1'))).toEqual(failure('not found', 'Piece SW-1 is not there.'));
});

test('a conflict hands the other values up, ready for the wire', () => {
  const outcome = failureOf(new Conflict({ note: 'theirs', at: new Date(0) }, 4));
  expect(outcome).toMatchObject({
    ok: false,
    code: 'conflict',
    theirs: { note: 'theirs', at: '1970-01-01T00:00:00.000Z' },
  });
});

test('a fault of the program is not dressed up as one of the person', () => {
  expect(() => failureOf(new TypeError('undefined is not a function'))).toThrow(TypeError);
});
