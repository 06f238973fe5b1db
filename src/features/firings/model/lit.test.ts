import { setStudioClock, studioClock } from '@/core/time';
import { isLate, lastTimeOf } from './lit';

const before = studioClock();
beforeAll(() => setStudioClock({ ...before, zone: 'America/Denver' }));
afterAll(() => setStudioClock(before));

const NOON = new Date('2026-11-24T19:00:00Z');

test('a time of day is the last one that has passed on the studio’s clock', () => {
  expect(lastTimeOf('11:30', NOON)!.toISO()).toBe('2026-11-24T11:30:00.000-07:00');
  expect(lastTimeOf('12:00', NOON)!.toISO()).toBe('2026-11-24T12:00:00.000-07:00');
  expect(lastTimeOf('18:00', NOON)!.toISO()).toBe('2026-11-23T18:00:00.000-07:00');
  expect(lastTimeOf('', NOON)).toBeNull();
});

test('a firing is late half an hour after its time', () => {
  const late = (startsAt: string, plannedOn = '2026-11-24') => isLate({ plannedOn, startsAt }, NOON);
  expect([late('11:31'), late('11:30'), late('18:00'), late('18:00', '2026-11-23')]).toEqual([
    false,
    true,
    false,
    true,
  ]);
});
