import { type JoinedRow, type Maybe } from '@/records/platform/joins';
import { analyse } from '@/core/chemistry';
import { coneIndex, type Spot } from '@/core/firing';
import { AGAIN_FATES, formShape, isCone, type Cone, type Heat } from '@/core/vocabulary';
import { cachedUntilWrite } from '@/records/platform/cache';
import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { NotFound, Refusal } from '@/records/platform/errors';
import { studioBook } from '@/records/materials/materials';
import { piecesById, type ListedPiece } from '@/records/pieces/piecePages';
import { recipesInUse } from '@/records/materials/recipes';

/** A piece that is loaded or could be, as the load map draws it. */
export interface ShelfPiece extends ListedPiece {
  readonly shelf: number | null;
  readonly spot: Spot | null;
  readonly cookie: boolean;
  readonly runsFrom: number | null;
  readonly chrome: boolean;
  readonly tin: boolean;
  /** The hottest cone that its clay is made for; null when not known. */
  readonly clayTo: Cone | null;
  /** Its glazes with the hottest cone that each was fired to here; null for never. */
  readonly fired: readonly { readonly name: string; readonly hottest: Cone | null }[];
  /** The same text for twins. */
  readonly twins: string;
  /** The round it belongs to, if any. */
  readonly round: { readonly id: string; readonly name: string; readonly number: number } | null;
  /** When it is wanted, "YYYY-MM-DD". */
  readonly dueOn: string | null;
}

/** How the shelves of a firing stand. */
export interface LoadShelf {
  readonly shelf: number;
  readonly postMm: number | null;
  readonly photoHash: string | null;
}

/** Below this share of an oxide, weight %, a glaze neither fumes nor blushes (judgement). */
const TRACE = 0.05;

/** Which glazes run, hold chrome or hold tin; kept until something is written. */
const habitsOf = cachedUntilWrite(async (base) => {
  const [glazes, recipes, book] = await Promise.all([
    base('glaze').select('id', 'movement') as Promise<{ id: string; movement: string | null }[]>,
    recipesInUse(base),
    studioBook(base),
  ]);
  const holds = new Map(
    recipes.map(({ glazeId, lines }) => [glazeId, analyse(lines, { book }).weightPercent] as const),
  );
  const has = (oxides: readonly string[]) =>
    new Set(
      [...holds]
        .filter(([, percent]) =>
          oxides.some((oxide) => ((percent as Record<string, number>)[oxide] ?? 0) > TRACE),
        )
        .map(([id]) => id),
    );
  return {
    runs: new Set(glazes.filter(({ movement }) => movement === 'runs').map(({ id }) => id)),
    chrome: has(['Cr2O3']),
    tin: has(['SnO2']),
  };
}, 1);

/**
 * The day a piece `p` of a round `r` is wanted: its own, that of its round, or the earliest of the groups that it is
 * for or its maker is in.
 */
export const DUE = `coalesce(p.due_on, r.due_on, (select min(g.due_on) from member_group g
  where g.ended_at is null and (g.id = p.group_id
    or g.id in (select gm.group_id from group_member gm where gm.member_id = p.member_id))))`;

/** The hottest cone that each of these glazes has been fired to; firings without a cone are left out. */
async function hottestOf(base: Db, glazeIds: readonly string[]): Promise<Map<string, Cone>> {
  const fired = base('coat')
    .whereIn('glaze_id', glazeIds)
    .whereNull('ended_at')
    .distinct('glaze_id', 'firing_id');
  const rows: { glaze_id: string; cone: Heat }[] = await base(fired.as('c'))
    .join('firing as f', 'f.id', 'c.firing_id')
    .whereIn('f.state', ['open', 'closed'])
    .select('c.glaze_id', 'f.cone');
  const hottest = new Map<string, Cone>();
  for (const { glaze_id, cone } of rows) {
    const known = hottest.get(glaze_id);
    if (isCone(cone) && (!known || coneIndex(cone)! > coneIndex(known)!)) hottest.set(glaze_id, cone);
  }
  return hottest;
}

/** Pieces with all the load map needs, in the order of their ids. */
export async function shelfPieces(
  base: Db,
  ids: readonly string[],
  firingId: string | null,
): Promise<ShelfPiece[]> {
  const [pieces, habits] = await Promise.all([piecesById(base, ids), habitsOf(base, 'all')]);
  const glazeIds = [...new Set(pieces.flatMap(({ coats }) => coats.map(({ glazeId }) => glazeId)))];
  const [bodies, hottest] = await Promise.all([
    base('body').select('id', 'cone_to'),
    hottestOf(base, glazeIds),
  ]);
  const clayTo = new Map(bodies.map((body) => [body.id, body.cone_to]));
  const rows = await base('piece as p')
    .leftJoin('round_cell as c', 'c.id', 'p.round_cell_id')
    .leftJoin('round as r', 'r.id', 'c.round_id')
    .leftJoin(
      'firing_piece as fp',
      (join) => void join.on('fp.piece_id', 'p.id').andOnVal('fp.firing_id', '=', firingId ?? ''),
    )
    .whereIn('p.id', ids)
    .select<
      (JoinedRow<
        { p: 'piece'; r: Maybe<'round'>; fp: Maybe<'firing_piece'> },
        | 'p.id'
        | 'p.twin_key'
        | 'r.id as round_id'
        | 'r.name as round_name'
        | 'r.number as round_number'
        | 'fp.shelf'
        | 'fp.x_mm'
        | 'fp.y_mm'
        | 'fp.cookie'
      > & { due: string | null })[]
    >(
      'p.id',
      'r.id as round_id',
      'r.name as round_name',
      'r.number as round_number',
      base.raw(`date_format(${DUE}, '%Y-%m-%d') as due`),
      'p.twin_key',
      'fp.shelf',
      'fp.x_mm',
      'fp.y_mm',
      'fp.cookie',
    );
  const found = new Map(rows.map((row) => [row.id, row]));
  return pieces.map((piece) => {
    const row = found.get(piece.id)!;
    const glazes = piece.coats.map(({ glazeId }) => glazeId);
    const names = new Map(piece.coats.map(({ glazeId, glazeName }) => [glazeId, glazeName]));
    const running = piece.coats.filter(({ glazeId }) => habits.runs.has(glazeId));
    return {
      ...piece,
      shelf: row.shelf,
      spot: row.x_mm === null || row.y_mm === null ? null : { x: row.x_mm, y: row.y_mm },
      cookie: Boolean(row.cookie),
      // A foot that catches what runs needs no cookie.
      runsFrom:
        running.length && !formShape(piece.form).catches
          ? Math.min(...running.map(({ from }) => from)) * piece.heightMm
          : null,
      chrome: glazes.some((id) => habits.chrome.has(id)),
      tin: glazes.some((id) => habits.tin.has(id)),
      clayTo: (piece.isDescribed && clayTo.get(piece.bodyId)) || null,
      fired: [...names].map(([id, name]) => ({ name, hottest: hottest.get(id) ?? null })),
      twins: row.twin_key,
      round:
        row.round_id === null ? null : { id: row.round_id, name: row.round_name!, number: row.round_number! },
      dueOn: row.due,
    };
  });
}

/** The posts and photos of the shelves of a firing. */
export async function loadShelves(base: Db, firingId: string): Promise<LoadShelf[]> {
  const rows = await base('load_shelf').where({ firing_id: firingId }).orderBy('shelf');
  return rows.map(({ shelf, post_mm, photo_hash }) => ({ shelf, postMm: post_mm, photoHash: photo_hash }));
}

/** Pieces in a firing, by shelf and place. */
export async function loadedIds(base: Db, firingId: string): Promise<string[]> {
  const rows = await base('firing_piece')
    .where({ firing_id: firingId })
    .orderBy(['shelf', 'place'])
    .select('piece_id');
  return rows.map(({ piece_id }) => piece_id);
}

/** Pieces that could go into a firing: made, glazed, or to be fired again; by number. */
export async function waitingIds(base: Db): Promise<string[]> {
  const rows: { id: string }[] = await base('piece')
    .whereIn('stage', ['made', 'glazed'])
    .orWhere((again) => void again.where('stage', 'read').whereIn('fate', AGAIN_FATES))
    .orderBy('number')
    .limit(400)
    .select('id');
  return rows.map(({ id }) => id);
}

/** Where a piece is put. */
export interface ShelfSpot {
  readonly pieceId: string;
  readonly shelf: number;
  readonly x: number;
  readonly y: number;
  readonly cookie: boolean;
}

/** Puts pieces that are in a firing onto their spots. */
export async function placePieces(
  base: Db,
  memberId: string,
  firingId: string,
  places: readonly ShelfSpot[],
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const firing = await trx('firing').where({ id: firingId }).forUpdate().first('state');
    if (!firing) throw new NotFound('This firing');
    if (firing.state !== 'loading')
      throw new Refusal('state', `This firing is ${firing.state}; it is no longer loaded.`);
    for (const { pieceId, shelf, x, y, cookie } of places)
      await trx('firing_piece')
        .where({ firing_id: firingId, piece_id: pieceId })
        .update({ shelf, x_mm: Math.round(x), y_mm: Math.round(y), cookie });
    await recordChange(trx, memberId, 'load', firingId, null, places);
  });
}

/** Notes the posts of a shelf, or its photo. */
export async function setShelf(
  base: Db,
  memberId: string,
  firingId: string,
  shelf: number,
  change: { readonly postMm?: number | null; readonly photoHash?: string },
): Promise<void> {
  const row = {
    ...(change.postMm !== undefined && { post_mm: change.postMm }),
    ...(change.photoHash !== undefined && { photo_hash: change.photoHash }),
  };
  await inTransaction(base, async (trx) => {
    if (!(await trx('firing').where({ id: firingId }).forUpdate().first('id')))
      throw new NotFound('This firing');
    await trx('load_shelf')
      .insert({ firing_id: firingId, shelf, ...row })
      .onConflict(['firing_id', 'shelf'])
      .merge(row);
    await recordChange(trx, memberId, 'load_shelf', firingId, null, { shelf, ...change });
  });
}

/** Says when pieces are wanted, "YYYY-MM-DD", or that no day is known; a round's own day stands behind it. */
export async function setDue(
  base: Db,
  memberId: string,
  pieceIds: readonly string[],
  dueOn: string | null,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    await trx('piece').whereIn('id', pieceIds).update({ due_on: dueOn });
    for (const id of pieceIds) await recordChange(trx, memberId, 'piece', id, null, { due_on: dueOn });
  });
}
