import type { WallEntry } from '@/records/dictionary';
import { cellsOf } from './cells';
import type { Wall } from '../server/wallOf';
import { smallRows } from './smallRows';

const [FIRST, SECOND] = ['A'.repeat(26), 'B'.repeat(26)];
const glazes = [
  { id: FIRST, name: 'Salt & <b>ash</b>', colour: '#888888' },
  { id: SECOND, name: 'The "other"', colour: '#444444' },
];
const entry = {
  ...{ id: 'E', headwordId: 'H'.repeat(26), groundId: 'ground', baseId: FIRST, topId: SECOND },
  ...{ baseTimes: 1, topTimes: 1, proofs: 2, agreeing: 2, colour: '#336699', surface: 'satin' },
  ...{ worstDefect: 'pitting', worstSeverity: 2, swatchHash: null, movement: null },
} as WallEntry;

test('every cell of a wall stands in its row, tried ones as links, and names cannot become markup', () => {
  const rows = smallRows({ glazes } as unknown as Wall, cellsOf([entry], ['ground']), '/share/TOKEN');
  expect(rows.match(/<tr>/g)).toHaveLength(2);
  expect(rows.match(/<td>/g)).toHaveLength(4);
  expect(rows.match(/<a /g)).toHaveLength(1);
  expect(rows).toContain(`href="/share/TOKEN/entry/${entry.headwordId}"`);
  expect(rows).toContain(
    'aria-label="The &quot;other&quot; over Salt &amp; &lt;b&gt;ash&lt;/b&gt;: satin, blue, pitting"',
  );
  expect(rows).toContain('#336699');
  expect(rows).not.toContain('<b>');
});
