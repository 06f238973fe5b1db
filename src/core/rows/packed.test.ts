import { packed, unpacked } from '.';

test('packed rows come out as they went in, in less room', () => {
  const rows = Array.from({ length: 400 }, (_, i) => ({
    id: `entry ${i}`,
    ground: i % 2 ? 'light' : 'dark',
    base: `glaze ${i % 20}`,
    proofs: i % 5,
    colour: i % 3 ? `#${(i * 4099).toString(16).padStart(6, '0')}` : null,
    surface: i % 7 ? 'satin "soft"' : null,
    decorative: i === 3,
  }));
  expect(unpacked(packed(rows))).toEqual(rows);
  expect(packed(rows).length).toBeLessThan(JSON.stringify(rows).length / 2);
});

test('no rows, one row', () => {
  expect(unpacked(packed([]))).toEqual([]);
  expect(unpacked(packed([{ a: null }]))).toEqual([{ a: null }]);
});
