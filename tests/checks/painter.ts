import { readFileSync } from 'node:fs';
import { BODY_LOOKS, GLAZE_LOOKS, paint } from '../../demo/paint';
import { ZONE, type AskedTile } from './painted';

const SURFACES: Readonly<Record<string, string>> = { 'Chalk Cut': 'matte', Limewash: 'satin' };

/** Paints the tiles asked for on standard input, one line of JSON for each. */
for (const { glaze, seed, defect, severity } of JSON.parse(readFileSync(0, 'utf8')) as AskedTile[]) {
  const { data, ...picture } = paint({
    seed,
    form: 'tile',
    heightMm: 100,
    widthMm: 60,
    body: BODY_LOOKS['Buffer White']!,
    reduction: false,
    coats: [{ ...ZONE, look: GLAZE_LOOKS[glaze]!, dips: 2, slip: false }],
    zones: [
      {
        ...ZONE,
        surface: SURFACES[glaze] ?? 'gloss',
        movement: 'stable',
        defects: defect ? [{ defect, severity, place: 'everywhere' }] : [],
      },
    ],
  });
  console.log(JSON.stringify({ ...picture, pixels: data.toString('base64') }));
}
