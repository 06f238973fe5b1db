import type { Atmosphere, Heat, Form, Method } from '@/core/vocabulary';
import type { Db } from '@/records/platform/db';
import { firstOf, type Maybe } from '@/records/platform/joins';

/** What a member makes: form and clay of the newest piece, and the fire that most of the last pieces came from. */
export interface Usual {
  readonly form: Form;
  readonly bodyId: string;
  /** The letters of its number; null for a test of a round, which takes the round's. */
  readonly series: string | null;
  /** The bare clay as the dictionary keeps it; null until a piece of it was read. */
  readonly groundId: string | null;
  /** Null until a piece of theirs was in a glaze firing. */
  readonly cone: Heat | null;
  readonly atmosphere: Atmosphere | null;
}

interface Fire {
  readonly cone: Heat;
  readonly atmosphere: Atmosphere;
}

/** Pieces of a member that say which fire is the usual one. */
const RECENT = 24;

const recentFires = (base: Db, memberId: string) =>
  base('piece as p')
    .join('firing_piece as fp', 'fp.piece_id', 'p.id')
    .join('firing as f', 'f.id', 'fp.firing_id')
    .where({ 'p.member_id': memberId, 'f.kind': 'glaze' })
    .orderBy('fp.at', 'desc')
    .limit(RECENT)
    .select('f.cone', 'f.atmosphere', 'fp.at');

/** A member's usual clay, form and fire; null for who has made nothing yet. */
export async function usualOf(base: Db, memberId: string): Promise<Usual | null> {
  const [piece, fire] = await Promise.all([
    firstOf<{ p: 'piece'; g: Maybe<'ground'> }>()(
      base('piece as p')
        .leftJoin('ground as g', (join) =>
          join.on('g.body_id', 'p.body_id').andOn('g.slips', base.raw("'[]'")),
        )
        .where({ 'p.member_id': memberId, 'p.described': 1 })
        .orderBy('p.made_at', 'desc'),
      'p.form',
      'p.body_id',
      'p.label',
      'p.round_cell_id',
      'g.id as ground_id',
    ),
    base(recentFires(base, memberId).as('f'))
      .groupBy('f.cone', 'f.atmosphere')
      .orderByRaw('count(*) desc, max(f.at) desc')
      .first<Fire | undefined>('f.cone', 'f.atmosphere'),
  ]);
  if (!piece) return null;
  return {
    form: piece.form,
    bodyId: piece.body_id,
    series: piece.round_cell_id === null ? piece.label.split('-')[0]! : null,
    groundId: piece.ground_id,
    cone: fire?.cone ?? null,
    atmosphere: fire?.atmosphere ?? null,
  };
}

/** How a glaze is put on. */
export interface UsualWay {
  readonly method: Method;
  readonly times: number;
}

/** Coats that say how a glaze is usually put on: the newest of the studio. */
const RECENT_COATS = 3000;

/**
 * How each glaze is usually put on, by glaze: as the member did it most among the studio's newest coats, else as
 * anybody did.
 */
export async function usualWays(base: Db, memberId: string): Promise<Map<string, UsualWay>> {
  const newest = base('coat')
    .whereNull('ended_at')
    .orderBy('id', 'desc')
    .limit(RECENT_COATS)
    .select('piece_id', 'glaze_id', 'method', 'times');
  const rows: (UsualWay & { readonly glaze_id: string })[] = await base(newest.as('c'))
    .join('piece as p', 'p.id', 'c.piece_id')
    .groupBy('c.glaze_id', 'c.method', 'c.times')
    .orderByRaw('sum(p.member_id = ?), count(*)', [memberId])
    .select('c.glaze_id', 'c.method', 'c.times');
  return new Map(rows.map(({ glaze_id, method, times }) => [glaze_id, { method, times }]));
}
