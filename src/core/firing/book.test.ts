import { readBook, type BookHand } from './book';

const HAND: BookHand = { unit: '°C', isClock: false, startMinute: null };
const CLOCK: BookHand = { ...HAND, isClock: true, startMinute: 18 * 60 };
const read = (text: string, hand: BookHand = HAND) => {
  const { lines, errors } = readBook(text, hand);
  return [
    ...lines.map(({ minutes, celsius, note }) => [minutes, Math.round(celsius), note]),
    ...errors.map(({ line, message }) => `${line}: ${message}`),
  ];
};

test('time and temperature are told apart in either order, with or without their units', () => {
  const same = [
    [0, 20, ''],
    [90, 110, 'lid propped'],
    [450, 812, ''],
  ];
  expect(read('0 20\n1.5 110 lid propped\n7,5 812')).toEqual(same);
  expect(read('20 0\n110 1.5, lid propped\n812 7.5')).toEqual(same);
  expect(read('0:00 20\n\n1:30  110 – lid propped\n7h30 812 °C')).toEqual(same);
  expect(read('68F 0:00\n230 F 1:30 lid propped\n1494 °F 7:30')).toEqual(same);
  expect(read('0:00 68\n1:30 230 lid propped\n7:30 812 C', { ...HAND, unit: '°F' })).toEqual(same);
});

test('times of the clock run over midnight, and over noon', () => {
  expect(read('18:00 20\n23:30 640\n0:30 700 cone 09 soft\n6:15 1180', CLOCK)).toEqual([
    [0, 20, ''],
    [330, 640, ''],
    [390, 700, 'cone 09 soft'],
    [735, 1180, ''],
  ]);
  expect(read('9:00 am 20\n1:30 pm 400\n12:15 am 900', { ...CLOCK, startMinute: 9 * 60 })).toEqual([
    [0, 20, ''],
    [270, 400, ''],
    [915, 900, ''],
  ]);
  // Nobody knows when it was lit: the first line is the start.
  expect(read('22:10 30\n1:10 500', { ...CLOCK, startMinute: null })).toEqual([
    [0, 30, ''],
    [180, 500, ''],
  ]);
});

test('a line that says nothing sure is named, and the others are kept', () => {
  expect(read('1 100\nlit the second burner\n3 3000\n2 250\n1 200\n4:00')).toEqual([
    [60, 100, ''],
    [120, 250, ''],
    '2: “lit the second burner” has no time',
    '3: “3 3000”: no kiln is so hot or so cold',
    '5: “1 200” is earlier than the line before',
    '6: “4:00” has no temperature',
  ]);
  expect(read('17:50 20\n18:20 60\n812', CLOCK)).toEqual([
    [20, 60, ''],
    '1: “17:50 20” is before the start',
    '3: “812” has no time, such as 19:30',
  ]);
});
