import {
  halfOutline,
  PLAIN_AREA,
  PLAIN_COAT,
  PLAIN_PIECE,
  type Outline,
  type WrittenArea,
} from '@/core/coats';
import { formShape } from '@/core/vocabulary';
import { ensureMixedBody } from '@/records/materials';
import { newId, type Db } from '@/records/platform';
import { joinSet, savePieces, type CoatDraft, type PieceDraft } from '@/records/pieces';
import type { PlannedPiece } from './scenario/plan';
import { ago, type Studio } from './studio';

/** The class firing that the ware of the story went into. */
export const WARE_FIRING = { kiln: 'two', daysAgo: 80, remarks: 'Ware of the autumn course.' } as const;

/** An oval on the drawing of a side. */
function oval(x: number, y: number, across: number, up: number): Outline {
  return Array.from({ length: 28 }, (_, i) => {
    const turn = (i / 28) * 2 * Math.PI;
    return [x + across * Math.cos(turn), y + up * Math.sin(turn)] as const;
  });
}

/** A fin: a triangle with a bent edge. */
const FIN: Outline = [
  [0.28, 0.42],
  [0.5, 0.6],
  [0.72, 0.42],
  [0.62, 0.74],
  [0.5, 0.8],
  [0.38, 0.74],
];

/** A piece of the story that is no tile with bands. */
interface Ware extends Pick<PieceDraft, 'form' | 'areas' | 'coats'> {
  readonly body: string;
  readonly note?: string;
  readonly texture?: PieceDraft['texture'];
  /** The piece before it belongs together with it. */
  readonly isSetWithLast?: true;
}

/** Makes the ware of the story: mugs, a platter, a fish, an inlaid bowl, a marbled dish, a lamp with its saucer, slips. */
export async function makeWare(base: Db, studio: Studio): Promise<(readonly [PlannedPiece, string])[]> {
  const technician = studio.members[0]!;
  const bodyId = (name: string) => studio.bodies.get(name)!;
  const marbled = await ensureMixedBody(base, technician, {
    how: 'marbled',
    bodyIds: [bodyId('Buffer White'), bodyId('Cutting Red')],
    stain: null,
    percent: null,
  });
  const made: (readonly [PlannedPiece, string])[] = [];
  let last = '';
  for (const { body, isSetWithLast, note = '', texture = {}, ...ware } of wareOf(studio)) {
    const { heightMm, widthMm } = formShape(ware.form);
    const id = newId();
    const [saved] = await savePieces(
      base,
      studio.members[1 + (made.length % 4)]!,
      {
        ...PLAIN_PIECE,
        ...{ ...ware, heightMm, widthMm, note, texture },
        bodyId: body === 'marbled' ? marbled : bodyId(body),
      },
      [id],
      { madeAt: ago(studio, WARE_FIRING.daysAgo + 14, 15) },
    );
    if (isSetWithLast) await joinSet(base, technician, { pieceId: id, label: last });
    last = saved!.label;
    const story: PlannedPiece = {
      ...{ form: ware.form, coats: [], firing: null, maker: 1, madeDaysAgo: WARE_FIRING.daysAgo + 14 },
      body: body === 'marbled' ? 'Buffer White' : body,
      slipOnDryClay: ware.coats.some(({ clay }) => clay === 'dry'),
    };
    made.push([story, id]);
  }
  return made;
}

function wareOf(studio: Studio): Ware[] {
  const coat = (glaze: string, more: Partial<CoatDraft> = {}): CoatDraft => ({
    ...PLAIN_COAT,
    ...{ glazeId: studio.glazes.get(glaze)!, method: 'dip', times: 1, seconds: 3 },
    ...{ side: 'outside', from: 0.06, to: 1 },
    ...more,
  });
  const area = (name: string, more: Partial<WrittenArea>): WrittenArea => ({
    ...PLAIN_AREA,
    ...{ name, side: 'outside', from: 0, to: 1 },
    ...more,
  });
  const logo = area('logo', { from: 0.36, to: 0.64, outline: oval(0.5, 0.5, 0.16, 0.14) });
  const handle = area('handle', { side: null });
  const mug = (outer: string, grip: string): Ware => ({
    form: 'mug',
    body: 'Buffer White',
    areas: [logo, handle],
    coats: [
      coat('Lamp Clear', { side: 'inside', method: 'pour', from: 0 }),
      coat(outer, { not: ['logo'] }),
      coat(grip, { area: 'handle', from: 0, to: 1 }),
    ],
    note: 'The stamp of the studio left free with wax.',
  });
  const black = studio.bodies.get('Tunnel Black')!;
  const slipTile = (times: number, clay: CoatDraft['clay']): Ware => ({
    form: 'tile',
    body: 'Buffer White',
    areas: [],
    coats: [
      coat('Sootline', { times, clay, from: 0, to: 1, seconds: null }),
      coat('Lamp Clear', { from: 0.5, dryBefore: true }),
    ],
    note: clay === 'dry' ? 'Slip on dry clay.' : 'Slip on damp clay.',
  });
  return [
    mug('Kettle Blue', 'Kettle Blue'),
    mug('Kettle Blue', 'Kettle Blue'),
    mug('Slate Bank', 'Rust Yard'),
    {
      form: 'platter',
      body: 'Embankment Buff',
      areas: [
        area('motif', { side: 'inside', from: 0, to: 0.32, outline: oval(0.5, 0.5, 0.16, 0.16) }),
        area('dots', { side: 'inside', from: 0.42, to: 0.7, outline: oval(0.28, 0.3, 0.07, 0.07) }),
      ],
      coats: [
        coat('Limewash', { side: 'inside', method: 'pour', from: 0 }),
        coat('Rust Yard', { side: 'inside', method: 'brush', times: 3, from: 0.86 }),
        coat('Guard Green', { side: 'inside', area: 'motif', method: 'brush', times: 3, from: 0 }),
        coat('Rust Yard', { side: 'inside', area: 'dots', method: 'brush', times: 3, from: 0 }),
      ],
      note: 'For the signal box table.',
    },
    {
      form: 'sculpture',
      body: 'Embankment Buff',
      areas: [area('fins', { from: 0.42, to: 0.8, outline: FIN, texture: ['combed'] })],
      coats: [
        coat('Slate Bank', { not: ['fins'], method: 'brush', times: 3, seconds: null }),
        coat('Rust Yard', { area: 'fins', from: 0, method: 'brush', times: 3, seconds: null }),
      ],
      note: 'A fish, fins combed.',
    },
    {
      form: 'tea bowl',
      body: 'Viaduct Porcelain',
      areas: [
        area('inlay', { from: 0.52, to: 0.68, outline: oval(0.36, 0.6, 0.08, 0.08), bodyId: black }),
        area('dots', { from: 0.4, to: 0.6, outline: oval(0.62, 0.5, 0.1, 0.1), bodyId: black }),
      ],
      coats: [coat('Lamp Clear', { from: 0.12 })],
      note: 'Two dots of black clay inlaid, scraped flush.',
    },
    {
      form: 'bowl',
      body: 'marbled',
      areas: [area('left half', { outline: halfOutline('left', false) })],
      coats: [coat('Lamp Clear', { area: 'left half', from: 0 })],
      note: 'Half clear, to see what the glaze does to the marbling.',
    },
    {
      form: 'lamp',
      body: 'Cutting Red',
      areas: [],
      coats: [coat('Limewash'), coat('Sleeper', { from: 0.9 })],
      texture: { outside: ['burnished'] },
    },
    {
      form: 'saucer',
      body: 'Cutting Red',
      areas: [],
      coats: [coat('Limewash', { side: 'inside', from: 0 })],
      isSetWithLast: true,
    },
    ...([1, 2] as const).flatMap((times) => [slipTile(times, 'leather-hard'), slipTile(times, 'dry')]),
  ];
}
