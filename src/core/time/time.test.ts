import { firstSlot, slotAt, USUAL_HOURS } from '../firing';
import { ageWords, dayOf, dayWords, isZone, setStudioClock, shortDay, studioTime, wordsOf } from '.';
import { DATE_STYLES } from './studioClock';

const on = (zone: string, dates = DATE_STYLES[0] as (typeof DATE_STYLES)[number]) =>
  setStudioClock({ zone, dates });
afterEach(() => on('UTC'));

test('a day is that day in every zone; a moment is not', () => {
  const late = new Date('2026-11-24T23:30:00Z');
  const seen = ['America/Denver', 'Europe/Berlin', 'Pacific/Auckland'].map((zone) => {
    on(zone);
    return [shortDay('2026-11-24'), dayOf(late)];
  });
  expect(seen).toEqual([
    ['24 Nov 2026', '2026-11-24'],
    ['24 Nov 2026', '2026-11-25'],
    ['24 Nov 2026', '2026-11-25'],
  ]);
});

test.each([
  ['America/Denver', '2026-03-07T18:00', '2026-03-08T19:00'],
  ['Europe/Berlin', '2026-10-24T18:00', '2026-10-25T17:00'],
])('over a change of clocks in %s days are counted and hours pass', (zone, start, dayOfHours) => {
  on(zone);
  const begin = studioTime(start);
  expect(begin.plus({ days: 1 }).toFormat('HH:mm')).toBe('18:00');
  expect(begin.plus({ hours: 24 }).toFormat("yyyy-MM-dd'T'HH:mm")).toBe(dayOfHours);
  const { end, opens } = slotAt(USUAL_HOURS, begin.toJSDate(), {
    firingHours: 10,
    coolingHours: 24,
    flame: false,
    attended: false,
  });
  expect(end.getTime() - begin.toMillis()).toBe(10 * 3_600_000);
  // Monday at nine, on the wall of the studio: on Sunday nobody is in.
  expect(wordsOf(opens, 'weekday', 'time')).toBe('Monday 09:00');
});

test('the quiet hours are those of the studio, wherever the server stands', () => {
  const need = { firingHours: 8, coolingHours: 12, flame: true, attended: false };
  const from = new Date('2026-11-24T00:00:00Z');
  const starts = ['America/Denver', 'Europe/Berlin'].map((zone) => {
    on(zone);
    return wordsOf(firstSlot(USUAL_HOURS, from, need)!.start, 'time');
  });
  expect(starts).toEqual(['09:00', '09:00']);
});

test('days and times are written as the studio writes them', () => {
  const at = new Date('2026-11-24T18:05:00Z');
  const written = DATE_STYLES.map((style) => {
    on('UTC', style);
    return `${wordsOf(at, 'short')}, ${wordsOf(at, 'time')}`;
  });
  expect(written).toEqual([...DATE_STYLES]);
  on('UTC', 'Nov 24, 2026, 6:05 PM');
  expect(dayWords(at)).toBe('Tuesday, November 24');
});

test('ages and zones', () => {
  const now = new Date('2026-11-24T18:05:00Z');
  expect(ageWords(new Date('2026-11-23T23:00:00Z'), now)).toBe('19 hours ago');
  expect(isZone('America/Denver')).toBe(true);
  expect(isZone('Mars/Olympus')).toBe(false);
});
