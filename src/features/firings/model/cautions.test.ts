import { sayMessage, METRIC } from '@/core/units';
import { KILN_HEATS, type FiringState } from '@/core/vocabulary';
import { cautionAt, wayOut } from './cautions';

test('ware that is drawn hot is not told to wait for the kiln to cool, and open fires have their own cautions', () => {
  const said = (cone: '6' | 'raku' | 'pit' | 'open' | 'none', state: FiringState) =>
    KILN_HEATS.map((heat) => {
      const words = cautionAt(heat, { cone, state });
      return words === null ? '' : sayMessage(words, METRIC);
    }).join(' ');
  expect(said('6', 'cooling')).toContain('No cracking above 200');
  expect(said('none', 'cooling')).toBe(said('6', 'cooling'));
  for (const way of ['raku', 'pit', 'open'] as const) {
    expect(said(way, 'loading')).toContain('local rules');
    expect(said(way, 'loading')).not.toContain('witness cones');
    expect(said(way, 'cooling')).not.toContain('No cracking');
    for (const state of ['loading', 'firing', 'cooling'] as const)
      expect(said(way, state)).not.toBe(said('6', state));
    expect(said(way, 'closed')).toBe(said('6', 'closed'));
  }
});

test('ware that is drawn hot or lies in ash is not asked for from a kiln, and nobody is sent to a lid that it has not', () => {
  for (const way of ['raku', 'pit', 'open'] as const) {
    const { link, mind, act } = wayOut(way);
    expect(`${link} ${sayMessage(mind, METRIC)} ${act}`).not.toMatch(/kiln|lid|Supply|shelf/);
    expect(sayMessage(mind, METRIC)).toContain('gloves above 50 °C');
  }
  expect(wayOut('none')).toEqual(wayOut('6'));
  expect(sayMessage(wayOut('6').mind, METRIC)).toContain('Never crack the lid above 200');
});
