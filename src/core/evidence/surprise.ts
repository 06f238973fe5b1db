import { figures } from '../units';
import { paletteDifference } from '../colour';
import { agreementOf, byPiece, coloursOf, type Agreement, type Seen } from './agreement';
import { showsWords } from './describe';
import { PLAIN_SEVERITY, defectName, MOVEMENTS } from '../vocabulary';

/** A zone as it came out, and the proofs its entry had before. */
export interface CameOut {
  readonly zoneId: string;
  /** What makes pieces twins of each other. */
  readonly twinKey: string;
  readonly pieceId: string;
  readonly entryId: string;
  readonly seen: Seen;
  readonly before: readonly Seen[];
}

/** Something that the dictionary did not expect: one for a piece and entry, by what is least likely of it. */
export interface Surprise {
  readonly kind: 'colour' | 'new defect' | 'defect gone' | 'moved' | 'twins disagree' | 'divided';
  readonly zoneIds: readonly string[];
  /** How unlikely it was by what was known, bits: 1 is a coin's toss, 7 is one in a hundred. */
  readonly bits: number;
  readonly words: string;
}

/** What the studio usually sees. */
export interface Usual {
  /** Distance of a twin from the middle of its entry, CIEDE2000. */
  readonly spread: number;
  /** Share of twins that disagree, 0 to 1. */
  readonly disagree: number;
}

/** Less than this is no surprise, bits: one in eight; twins that differ are always said. */
const WORTH_SAYING = 3;

/** More cannot be known from a studio's few proofs, bits: one in a thousand. */
const MOST = 10;

/** Photos of one colour do not agree more closely than this, CIEDE2000. */
const PHOTO_SPREAD = 2;

/** A colour nearer than this to what was promised is the same to the eye across a room, CIEDE2000. */
const SAME_COLOUR = 3;

/**
 * What came out different from expected, the greatest surprise first. Pieces are judged, not zones: one that disagrees
 * with itself is said as such.
 *
 * A defect, or its absence, and a movement beyond any before are judged by their expected share among the
 * earlier proofs, (k + ½) / (n + 1); a colour by its distance against the usual spread of twins, widened for
 * a middle known from n proofs only, as the chance e^(−ΔE²/2s²) of lying so far out in a plane; twins that differ by the share that usually do. Zones
 * without earlier proofs surprise nobody.
 *
 * @param usual the studio's own figures
 */
export function surprisesOf(zones: readonly CameOut[], usual: Usual): Surprise[] {
  const found = piecesOf(zones).flatMap((piece) => pieceSurprises(piece, usual));
  return [...found, ...twinSurprises(zones, usual)].sort(
    (a, b) => b.bits - a.bits || a.zoneIds[0]!.localeCompare(b.zoneIds[0]!),
  );
}

/** Zones of one piece and entry together. */
function piecesOf(zones: readonly CameOut[]): CameOut[][] {
  const found = new Map<string, CameOut[]>();
  for (const zone of zones) {
    const key = `${zone.pieceId} ${zone.entryId}`;
    found.set(key, [...(found.get(key) ?? []), zone]);
  }
  return [...found.values()];
}

function pieceSurprises(zones: readonly CameOut[], usual: Usual): Surprise[] {
  const zoneIds = zones.map(({ zoneId }) => zoneId);
  const { whole, divided } = byPiece(zones.map(({ seen }) => seen));
  if (divided[0]) {
    const shown = [...new Set(divided[0].map(showsWords))].join('; ');
    const bits = -Math.log2(Math.max(usual.disagree, 2 ** -MOST));
    return [{ kind: 'divided', zoneIds, bits, words: `disagrees with itself: ${shown}` }];
  }
  const seen = whole[0]!;
  const proofs = zones[0]!.before.filter((proof) => proof.counts);
  const promised = agreementOf(proofs);
  if (promised.proofs === 0) return [];
  const found: readonly (readonly [Surprise['kind'], number, string])[] = [
    ...colourSurprise(seen, promised, usual),
    ...defectSurprises(seen, promised),
    ...moveSurprise(seen, byPiece(proofs).whole),
  ]
    .filter(([, bits]) => bits >= WORTH_SAYING)
    .sort(([, one], [, other]) => other - one);
  if (!found[0]) return [];
  const words = found.map((one) => one[2]).join('; ');
  return [{ kind: found[0][0], zoneIds, bits: Math.min(MOST, found[0][1]), words }];
}

type Found = [Surprise['kind'], number, string];

function bitsOf(count: number, of: number): number {
  return -Math.log2((count + 0.5) / (of + 1));
}

function colourSurprise(seen: Seen, promised: Agreement, usual: Usual): Found[] {
  const [own, usually] = [coloursOf(seen), coloursOf(promised)];
  if (!own || !usually) return [];
  const far = paletteDifference(usually, own);
  if (far < SAME_COLOUR) return [];
  // The largest of a few distances in a plane is some one and a half deviations out.
  const scatter = promised.spread === null ? 0 : promised.spread / 1.5;
  const spread = Math.max(usual.spread, scatter, PHOTO_SPREAD);
  const times = far / (spread * Math.sqrt(1 + 1 / promised.proofs));
  return [
    [
      'colour',
      (times ** 2 / 2) * Math.LOG2E,
      `colour difference ${figures(far, 1)} from its proofs, where ${figures(spread, 1)} is usual`,
    ],
  ];
}

function defectSurprises(seen: Seen, promised: Agreement): Found[] {
  const plain = seen.defects.filter(({ severity }) => severity >= PLAIN_SEVERITY);
  const n = promised.proofs;
  const came = plain.map(({ defect }): Found => {
    const count = promised.defects.find((one) => one.defect === defect)?.count ?? 0;
    return ['new defect', bitsOf(count, n), `${defectName(defect)}: ${count} of ${n} before`];
  });
  const gone = promised.defects
    .filter(({ defect }) => !plain.some((one) => one.defect === defect))
    .map(({ defect, count }): Found => [
      'defect gone',
      bitsOf(n - count, n),
      `no ${defectName(defect)}: ${count} of ${n} before`,
    ]);
  return [...came, ...gone];
}

function moveSurprise(seen: Seen, proofs: readonly Seen[]): Found[] {
  const rank = (movement: string | null) => MOVEMENTS.indexOf(movement as (typeof MOVEMENTS)[number]);
  const known = proofs.filter((proof) => proof.movement !== null);
  const further = known.filter((proof) => rank(proof.movement) >= rank(seen.movement));
  if (rank(seen.movement) < 1 || known.length === 0) return [];
  return [
    [
      'moved',
      bitsOf(further.length, known.length),
      `${seen.movement}: ${further.length ? `${further.length} of ${known.length} did` : `none of ${known.length} did`} before`,
    ],
  ];
}

function twinSurprises(zones: readonly CameOut[], usual: Usual): Surprise[] {
  const groups = new Map<string, CameOut[]>();
  for (const zone of zones) {
    const key = `${zone.twinKey} ${zone.entryId}`;
    groups.set(key, [...(groups.get(key) ?? []), zone]);
  }
  return [...groups.values()].flatMap((group) => {
    if (new Set(group.map((zone) => zone.pieceId)).size < 2) return [];
    const { proofs, agreeing } = agreementOf(group.map(({ seen }) => ({ ...seen, counts: true })));
    const differ = proofs - agreeing;
    if (differ === 0) return [];
    return [
      {
        kind: 'twins disagree' as const,
        zoneIds: group.map((zone) => zone.zoneId),
        bits: -Math.log2(Math.max(usual.disagree, 2 ** -MOST)),
        words: `${differ} of ${proofs} twins of one firing ${differ === 1 ? 'differs' : 'differ'}`,
      },
    ];
  });
}
