import ICAL from 'ical.js';
import type { Booked } from '@/records/firings';
import { aboutTime } from '@/features/kilns/model/aboutTime';
import { calendarFile } from '@/features/kilns/model/calendarFile';
import { hoursSchema } from '@/features/kilns/schema';

const at = (text: string) => new Date(`2026-11-${text}:00Z`);
const BOOKED = {
  firing: {
    ...{ id: '01ARZ3NDEKTSV4RRFFQ69G5FA1', kilnName: 'Number Two', number: 17, kind: 'glaze', cone: '6' },
    ...{ atmosphere: 'oxidation', pieces: 12, programme: 'Slow, with a comma; and more' },
  },
  ...{ start: at('26T18:00'), end: at('27T03:12'), cool: at('27T20:40'), opens: at('28T09:00') },
} as unknown as Booked;

// RFC 5545, read by a general-purpose iCalendar library.
test('another program reads the calendar as it was meant', () => {
  const calendar = new ICAL.Component(ICAL.parse(calendarFile([BOOKED], at('25T10:00'))) as unknown[]);
  const events = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
  expect(events.map(({ summary }) => summary)).toEqual([
    'Number Two 17 fires: glaze, cone 6, oxidation',
    'Number Two 17 can be opened',
  ]);
  expect(events[0]!.startDate.toJSDate()).toEqual(BOOKED.start);
  expect(events[0]!.endDate.toJSDate()).toEqual(BOOKED.end);
  expect(events[0]!.description).toBe('12 pieces. Slow, with a comma; and more');
  expect(events[1]!.startDate.toJSDate()).toEqual(BOOKED.opens);
  expect(new Set(events.map(({ uid }) => uid)).size).toBe(2);
});

test('an event keeps its name when it moves, so that a subscribed calendar moves it too', () => {
  const uids = (booked: Booked) => calendarFile([booked], at('25T10:00')).match(/^UID:.*$/gm);
  expect(uids({ ...BOOKED, start: at('27T18:00') })).toEqual(uids(BOOKED));
  expect(calendarFile([], at('25T10:00'))).toMatch(/BEGIN:VCALENDAR[\s\S]*END:VCALENDAR/);
});

test('a foretold time is told to the next half hour', () => {
  const time = (text: string) => aboutTime(new Date(`2026-11-27T${text}:00`));
  expect(['09:53', '09:30', '09:01'].map(time)).toEqual(['Fri 10:00', 'Fri 09:30', 'Fri 09:30']);
});

test('hours that cannot be are refused by field', () => {
  const day = { opens: '09:00', closes: '21:00' };
  const hours = { days: [null, ...Array(6).fill(day)], quiet: { from: '22:00', to: '07:00' } };
  expect(hoursSchema.safeParse({ hours, version: 0 }).success).toBe(true);
  const shut = { ...hours, days: [{ opens: '21:00', closes: '09:00' }, ...Array(6).fill(day)] };
  expect(hoursSchema.safeParse({ hours: shut, version: 0 }).error?.issues[0]).toMatchObject({
    path: ['hours', 'days', 0],
    message: 'It must close after it opens.',
  });
  expect(hoursSchema.safeParse({ hours: { ...hours, days: [] }, version: 0 }).success).toBe(false);
});
