import { type Maybe, firstOf, rowsOf } from '@/records/platform/joins';
import type { ShareLinkRow } from '@/records/platform/tables';
import { type Mapping, flag, readRow } from '@/records/platform/mapping';
import { hashOf } from '@/records/platform/hash';
import type { Knex } from 'knex';
import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { NotFound } from '@/records/platform/errors';
import { wallEntriesQuery, type WallChoice } from './wall';

/** What a link shows: one wall, with or without recipes and the names of who made the pieces. */
export interface ShareDraft {
  readonly id: string;
  readonly name: string;
  /** The wall as it stands in its address, "cone=6&atmosphere=oxidation". */
  readonly search: string;
  readonly recipes: boolean;
  readonly names: boolean;
}

/** A link as its makers see it; its token is not kept. */
export interface Share extends ShareDraft {
  readonly by: string;
  readonly at: Date;
  readonly expiresAt: Date;
  readonly endedAt: Date | null;
}

const DAY = 86_400_000;

/**
 * Makes a link. The token is made by the maker's browser and only its hash is kept: who reads the table cannot
 * use the links in it. The same id again is the same link.
 *
 * @param token 43 letters, 256 random bits
 * @param days how long it works
 */
export async function addShare(
  base: Db,
  memberId: string,
  draft: ShareDraft,
  token: string,
  days: number,
  now = new Date(),
): Promise<void> {
  await inTransaction(base, async (trx) => {
    if (await trx('share_link').where({ id: draft.id }).first('id')) return;
    await trx('share_link').insert({
      ...draft,
      key_hash: hashOf(token),
      member_id: memberId,
      at: now,
      expires_at: new Date(now.getTime() + days * DAY),
    });
    await recordChange(trx, memberId, 'share_link', draft.id, null, { ...draft, days });
  });
}

/** Ends a link, or gives it back. */
export async function endShare(base: Db, memberId: string, id: string, ended: boolean): Promise<void> {
  await inTransaction(base, async (trx) => {
    const endedAt = ended ? new Date() : null;
    if (!(await trx('share_link').where({ id }).update({ ended_at: endedAt })))
      throw new NotFound('This link');
    await recordChange(trx, memberId, 'share_link', id, null, { ended });
  });
}

/** Links, those that work first, the newest first. */
export async function listShares(base: Db): Promise<Share[]> {
  const rows: JoinedShare[] = await rowsOf<{ s: 'share_link'; m: 'member' }>()(
    base('share_link as s')
      .join('member as m', 'm.id', 's.member_id')
      .orderByRaw('s.ended_at is not null, s.id desc')
      .limit(100),
    's.*',
    'm.name as by',
  );
  return rows.map(shareOf);
}

/** The link of a token while it works: neither ended nor past its day; null otherwise. */
export async function shareBy(base: Db, token: string, now = new Date()): Promise<Share | null> {
  const row: JoinedShare | undefined = await firstOf<{ s: 'share_link'; m: 'member' }>()(
    base('share_link as s')
      .join('member as m', 'm.id', 's.member_id')
      .where('s.key_hash', hashOf(token))
      .whereNull('s.ended_at')
      .where('s.expires_at', '>', now),
    's.*',
    'm.name as by',
  );
  return row ? shareOf(row) : null;
}

const SHARE: Mapping<Omit<Share, 'by'>, ShareLinkRow> = {
  id: 'id',
  name: 'name',
  search: 'search',
  recipes: flag('recipes'),
  names: flag('names'),
  at: 'at',
  expiresAt: 'expires_at',
  endedAt: 'ended_at',
};

type JoinedShare = ShareLinkRow & { readonly by: string };

function shareOf(row: JoinedShare): Share {
  return { ...readRow(SHARE, row), by: row.by };
}

/** Whether a picture is on a wall: a swatch of one of its entries, or a photo of a piece that proves one. */
export async function isOnWall(base: Db, choice: WallChoice, hash: string): Promise<boolean> {
  const onIt = (zones: Knex.QueryBuilder) =>
    zones
      .whereNull('z.ended_at')
      .whereIn('z.entry_id', wallEntriesQuery(base, choice).select('e.id'))
      .first<{ id: string } | undefined>('z.id');
  const row =
    (await onIt(base('zone as z').where('z.swatch_hash', hash))) ??
    (await onIt(
      base('photo as ph')
        .join('zone as z', 'z.piece_id', 'ph.piece_id')
        .where('ph.hash', hash)
        .whereNull('ph.ended_at'),
    ));
  return Boolean(row);
}

/** An entry that was read lately, for a screen that walks through what is new. */
export interface NewEntry {
  readonly headwordId: string;
  readonly headword: string;
  readonly ground: string;
  readonly photoHash: string | null;
  readonly colour: string | null;
  readonly at: Date;
}

/** The entries of a wall with the newest readings, one a headword. */
export async function newestOnWall(base: Db, choice: WallChoice, limit = 12): Promise<NewEntry[]> {
  const rows = await rowsOf<{ e: 'entry'; h: 'headword'; g: 'ground'; ph: Maybe<'photo'>; r: 'reading' }>()(
    wallEntriesQuery(base, choice)
      .join('ground as g', 'g.id', 'e.ground_id')
      .join('zone as z', (join) => void join.on('z.entry_id', 'e.id').andOnNull('z.ended_at'))
      .join(
        'reading as r',
        (join) => void join.on('r.zone_id', 'z.id').andOnNull('r.ended_at').andOnVal('r.stage', 'after'),
      )
      .leftJoin('photo as ph', 'ph.id', 'z.photo_id')
      .orderBy('r.at', 'desc')
      .limit(limit * 12),
    'e.headword_id',
    'h.text',
    'g.name as ground',
    'ph.hash',
    'e.colour',
    'r.at',
  );
  const seen = new Map<string, NewEntry>();
  for (const row of rows)
    if (!seen.has(row.headword_id))
      seen.set(row.headword_id, {
        headwordId: row.headword_id,
        headword: row.text,
        ground: row.ground,
        photoHash: row.hash,
        colour: row.colour,
        at: row.at,
      });
  return [...seen.values()].slice(0, limit);
}
