import { createHash } from 'node:crypto';
import { wayOf, type Form } from '@/core/coats';
import { recordChange } from '@/records/platform/changes';
import type { CoatDraft } from './coats';
import { inTransaction, newId, type Db } from '@/records/platform/db';
import { Conflict, NotFound, Refusal } from '@/records/platform/errors';
import { updateRow, newestVersions } from '@/records/materials/glazes';
import { labelOf, lockSeries } from '@/records/platform/numbers';
import { rebuildZones } from './zones';

export interface PieceDraft {
  readonly form: Form;
  readonly heightMm: number;
  readonly widthMm: number;
  readonly bodyId: string;
  readonly split: boolean;
  readonly note: string;
  readonly coats: readonly CoatDraft[];
}

/**
 * Saves a piece and its twins: one row an id, each with the next number of the studio's series. An id that
 * is already there is the same submit again and gives back what it got the first time.
 *
 * @param modelId the piece that they are made after
 * @returns ids with their labels, in the order given
 */
export async function savePieces(
  base: Db,
  memberId: string,
  draft: PieceDraft,
  ids: readonly string[],
  madeAt = new Date(),
  modelId: string | null = null,
): Promise<{ id: string; label: string }[]> {
  return inTransaction(base, async (trx) => {
    const { prefix, next: first } = await lockSeries(trx);
    let next = first;
    const known = await trx('piece')
      .whereIn('id', ids)
      .select<{ id: string; label: string }[]>('id', 'label');
    const labels = new Map(known.map((row) => [row.id, row.label]));
    const fresh = ids.filter((id) => !labels.has(id));
    const row = { ...pieceRow(draft), member_id: memberId, made_at: madeAt, model_id: modelId };
    const stage = draft.coats.length ? 'glazed' : 'made';
    const coats = await coatRows(trx, draft.coats);
    for (const id of fresh) {
      const label = labelOf(prefix, next);
      await trx('piece').insert({ id, label, number: next++, stage, ...row });
      await insertCoats(trx, id, coats);
      await recordChange(trx, memberId, 'piece', id, null, { label, ...draft });
      labels.set(id, label);
    }
    await trx('series').update({ next });
    return ids.map((id) => ({ id, label: labels.get(id)! }));
  });
}

function pieceRow(draft: PieceDraft) {
  return {
    form: draft.form,
    height_mm: draft.heightMm,
    width_mm: draft.widthMm,
    body_id: draft.bodyId,
    split: draft.split,
    note: draft.note,
    twin_key: twinKey(draft),
  };
}

/** Pieces with the same key are meant to be equal: same body, same coats in order. */
function twinKey(draft: PieceDraft): string {
  const coats = draft.coats.map((c) => [
    c.glazeId,
    wayOf(c.method),
    c.times,
    c.side,
    c.from.toFixed(3),
    c.to.toFixed(3),
    c.wiped,
  ]);
  return createHash('sha256')
    .update(JSON.stringify([draft.bodyId, draft.form, coats]))
    .digest('base64url');
}

type CoatRow = Awaited<ReturnType<typeof coatRows>>[number];

async function coatRows(trx: Db, coats: readonly CoatDraft[]) {
  const versions = await newestVersions(trx);
  const batches = coats.flatMap((coat) => coat.batchId ?? []);
  const mixedFrom = new Map<string, string>(
    (await trx('batch').whereIn('id', batches).select('id', 'glaze_version_id')).map((b) => [
      b.id,
      b.glaze_version_id,
    ]),
  );
  return coats.map((coat, position) => {
    const version = (coat.batchId && mixedFrom.get(coat.batchId)) || versions.get(coat.glazeId);
    if (!version) throw new Refusal(`coats.${position}.glazeId`, 'This glaze is not in the studio any more.');
    return {
      position,
      glaze_id: coat.glazeId,
      glaze_version_id: version,
      batch_id: coat.batchId,
      method: coat.method,
      times: coat.times,
      seconds: coat.seconds,
      side: coat.side,
      low: coat.from,
      high: coat.to,
      dry_before: coat.dryBefore,
      clay: coat.clay,
      wiped: coat.wiped,
      firing_id: coat.firingId,
    };
  });
}

async function insertCoats(trx: Db, pieceId: string, rows: readonly CoatRow[]): Promise<void> {
  if (rows.length) await trx('coat').insert(rows.map((row) => ({ id: newId(), piece_id: pieceId, ...row })));
}

/**
 * Corrects what was written about a piece. Old coats are ended, not overwritten; when the piece has been
 * fired its zones are laid anew and each reading moves to the zone that now covers its middle.
 *
 * @throws Conflict when somebody else changed the piece first
 */
export async function correctPiece(
  base: Db,
  memberId: string,
  id: string,
  version: number,
  draft: PieceDraft,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const given = await coatRows(trx, draft.coats);
    const rows = await trx('coat').where({ piece_id: id, ended_at: null }).orderBy('position');
    const before = await trx('piece').where({ id }).forUpdate().first();
    if (!before) throw new NotFound('This piece');
    if (before.version !== version) throw new Conflict({ ...before, coats: rows.length }, before.version);
    // The first coats told of a piece that nobody had logged are those it was fired with.
    const stray = rows.length === 0 ? await lastFiringOf(trx, id) : null;
    const coats = stray ? given.map((coat) => ({ ...coat, firing_id: coat.firing_id ?? stray })) : given;
    const unfired = coats.some((coat) => coat.firing_id === null);
    const stage =
      before.stage === 'loaded'
        ? 'loaded'
        : unfired
          ? 'glazed'
          : before.stage === 'glazed'
            ? 'made'
            : before.stage;
    await updateRow(trx, memberId, 'piece', id, version, { ...pieceRow(draft), stage });
    if (!sameCoats(rows, coats)) {
      await trx('coat').where({ piece_id: id, ended_at: null }).update({ ended_at: new Date() });
      await insertCoats(trx, id, coats);
      await recordChange(trx, memberId, 'coats', id, rows, coats);
      await rebuildZones(trx, id);
    }
  });
}

/** The firing a piece came out of last; null when it was never fired. */
async function lastFiringOf(trx: Db, pieceId: string): Promise<string | null> {
  const row = await trx('firing_piece as fp')
    .join('firing as f', 'f.id', 'fp.firing_id')
    .where({ 'fp.piece_id': pieceId })
    .whereIn('f.state', ['open', 'closed'])
    .orderBy('fp.at', 'desc')
    .first('f.id');
  return row?.id ?? null;
}

function sameCoats(rows: readonly Record<string, unknown>[], coats: readonly CoatRow[]): boolean {
  const plain = (coat: Record<string, unknown>) =>
    JSON.stringify([
      coat.glaze_id,
      coat.batch_id,
      coat.method,
      coat.times,
      coat.seconds,
      coat.side,
      coat.low,
      coat.high,
      coat.firing_id,
      Number(coat.wiped),
      coat.dry_before === null ? null : Number(coat.dry_before),
      coat.clay,
    ]);
  return rows.length === coats.length && rows.every((row, i) => plain(row) === plain({ ...coats[i] }));
}
