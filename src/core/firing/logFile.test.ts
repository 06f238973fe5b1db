import { alarmsOf, guessColumns, readLogRows, type LogLine } from '.';

const rows = (text: string) => text.split('\n').map((line) => line.split(','));

test.each([
  ['Time,Temp\n0,20\n60,200\n120,380', 'minutes', [0, 60, 120], 'C'],
  ['elapsed h:mm,TC1 °F,set point\n0:00,68,70\n1:30,500,500', 'hours:minutes', [0, 90], 'F'],
  ['2026-03-28 22:00:00,900\n2026-03-29 00:30:00,1000', 'date and time', [0, 150], 'C'],
  ['time,temp\n23:30,900\n00:15,1000', 'clock', [0, 45], 'C'],
  ['date,temp\n28/03/2026 22:00,900\n29/03/2026 00:30,1000', 'date and time, day first', [0, 150], 'C'],
] as const)('%j is understood', (text, format, minutes, unit) => {
  const guessed = guessColumns(rows(text));
  expect(guessed).toMatchObject({ format, unit });
  const { sensors, errors } = readLogRows(rows(text), guessed.header, guessed);
  expect(sensors).toHaveLength(1);
  expect(sensors[0]!.map((reading) => reading.minutes)).toEqual(minutes);
  expect(errors).toEqual([]);
});

test('an hour put back in autumn does not send the log back', () => {
  const text = '2026-10-25 02:30,900\n2026-10-25 02:59,930\n2026-10-25 02:05,935\n2026-10-25 03:00,980';
  const { sensors } = readLogRows(rows(text), 0, guessColumns(rows(text)));
  expect(sensors[0]!.map(({ minutes }) => minutes)).toEqual([0, 29, 35, 90]);
});

test('a broken file says which lines, and the rest is kept', () => {
  const text = 'minute,temp,zone 2 temp\n0,20,21\n1,hot,22\nlater,30,31\n3,,40\n\n4,99999,41\n5,60,61';
  const guessed = guessColumns(rows(text));
  expect(guessed.temperatures).toEqual([1, 2]);
  const { sensors, errors } = readLogRows(rows(text), guessed.header, { ...guessed, unit: 'C' });
  expect(errors.map(({ line }) => line)).toEqual([3, 4, 7]);
  expect(sensors[0]!.map(({ celsius }) => celsius)).toEqual([20, null, 60]);
  expect(sensors[1]!.map(({ seq }) => seq)).toEqual([2, 3, 5, 7, 8]);
});

test('alarms: sensor, target, limit, and behind for a quarter of an hour', () => {
  const lines = (celsius: (i: number) => number | null, target: (i: number) => number | null): LogLine[] =>
    Array.from({ length: 30 }, (_, i) => ({ minutes: i, celsius: celsius(i), target: target(i) }));
  expect(alarmsOf([], 1290)).toEqual([]);
  expect(
    alarmsOf(
      lines(
        (i) => 500 + i,
        (i) => 500 + i,
      ),
      1290,
    ),
  ).toEqual([]);
  expect(
    alarmsOf(
      lines(
        (i) => (i === 29 ? null : 500),
        () => 500,
      ),
      1290,
    ),
  ).toEqual(['sensor break']);
  expect(
    alarmsOf(
      lines(
        () => 540,
        () => 500,
      ),
      1290,
    ),
  ).toEqual(['over target']);
  expect(
    alarmsOf(
      lines(
        () => 1300,
        () => 1300,
      ),
      1290,
    ),
  ).toEqual(['over the kiln’s limit']);
  expect(
    alarmsOf(
      lines(
        () => 460,
        () => 500,
      ),
      1290,
    ),
  ).toEqual(['behind the programme']);
  expect(
    alarmsOf(
      lines(
        (i) => (i < 20 ? 500 : 460),
        () => 500,
      ),
      1290,
    ),
  ).toEqual([]);
  expect(
    alarmsOf(
      lines(
        () => 900,
        (i) => 1100 - i * 10,
      ),
      1290,
    ),
  ).toEqual([]);
});
