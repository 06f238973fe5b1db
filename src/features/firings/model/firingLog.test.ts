import { METRIC, sayText } from '@/core/units';
import { ulid } from 'ulid';
import { clockWords, hours, parseHours } from '@/features/shared/clock';
import { conesSchema, eventSchema, importSchema } from '../schema';

test('hours are written and read as people write them', () => {
  expect([0, 65, 425.4, 6000].map(hours)).toEqual(['0:00', '1:05', '7:05', '100:00']);
  expect(['7:05', ' 7.5', '7,5', '', '0:00'].map(parseHours)).toEqual([425, 450, 450, null, 0]);
  expect(['7:65', 'noon', '7h'].map((text) => Number.isNaN(parseHours(text)))).toEqual([true, true, true]);
});

test('a time to come is told to ten minutes, and by day', () => {
  const now = new Date('2026-11-25T08:00:00');
  const at = (time: string) => ({
    at: new Date(`2026-11-${time}`),
    from: new Date('2026-11-25T20:53:00'),
    to: new Date('2026-11-26T01:02:00'),
    reached: false,
  });
  expect(clockWords(at('25T21:42'), now)).toBe('about 21:40 today, between 20:50 and Thu 01:00');
  expect(clockWords(at('26T09:00'), now)).toMatch(/^about 09:00 tomorrow, between Wed 20:50 and 01:00/);
  expect(clockWords(at('28T09:00'), now)).toMatch(/^about 09:00 Saturday 28 Nov/);
});

describe('what is written down at a kiln', () => {
  const event = (more: object) =>
    eventSchema.safeParse({
      id: ulid(),
      firingId: ulid(),
      kind: 'peephole plug in',
      minutes: 5,
      value: null,
      note: '',
      ...more,
    });
  const errorOf = (more: object) =>
    event(more).error?.issues.map(({ path, message }) => `${path.join('.')}: ${sayText(message, METRIC)}`);

  test('an event of one tap needs nothing besides', () => expect(event({}).success).toBe(true));

  test.each([
    [{ kind: 'hand reading' }, ['value: A temperature from −20 °C to 1450 °C.']],
    [{ kind: 'hand reading', value: 2000 }, ['value: A temperature from −20 °C to 1450 °C.']],
    [{ kind: 'damper', value: 120 }, ['value: 0 to 100 %.']],
    [{ kind: 'note', note: '  ' }, ['note: Write something.']],
    [{ minutes: -1 }, ['minutes: Not before the start.']],
  ])('%j names its field', (more, errors) => expect(errorOf(more)).toEqual(errors));

  test('cones and logs are held to what can be', () => {
    const cone = { id: ulid(), shelf: 1, cone: '6', bend: 45 };
    expect(conesSchema.safeParse({ firingId: ulid(), cones: [cone] }).success).toBe(true);
    expect(conesSchema.safeParse({ firingId: ulid(), cones: [{ ...cone, bend: 91 }] }).success).toBe(false);
    expect(conesSchema.safeParse({ firingId: ulid(), cones: [{ ...cone, cone: '6½' }] }).success).toBe(false);
    const reading = { seq: 1, minutes: 0, celsius: null, target: null, oxygen: null };
    const file = { id: ulid(), firingId: ulid(), name: 'x.csv' };
    expect(importSchema.safeParse({ ...file, sensors: [[reading]] }).success).toBe(true);
    expect(importSchema.safeParse({ ...file, sensors: [[]] }).error?.issues[0]?.message).toBe(
      'There is no reading in it.',
    );
    expect(importSchema.safeParse({ ...file, sensors: [[{ ...reading, celsius: 1600 }]] }).success).toBe(
      false,
    );
  });
});
