import { pieceOfLabel } from './pieceOfLabel';

test.each([
  ['https://studio.example/pieces/SW-0012', 'SW-0012'],
  ['http://192.168.1.5:3000/pieces/sw-0012/', 'SW-0012'],
  ['https://studio.example/pieces/new', null],
  ['https://studio.example/glazes/SW-0012', null],
  ['https://studio.example/pieces/%E0%A4%A', null],
  ['WIFI:S:studio;;', null],
  ['', null],
])('%s is the label of %s', (text, number) => {
  expect(pieceOfLabel(text)).toBe(number);
});
