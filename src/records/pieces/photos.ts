import type { JoinedRow, Maybe } from '@/records/platform/joins';
import type { ReadingStage } from '@/core/vocabulary';
import type { PhotoRow } from '@/records/platform/tables';
import { guessFrame, type Frame, type Gains, type Point } from '@/core/photo';
import { recordChange } from '@/records/platform/changes';
import { fromJson, inTransaction, type Db } from '@/records/platform/db';
import { refreshEntries } from '@/records/dictionary/entries';
import { found, Refusal } from '@/records/platform/errors';
import type { Store } from '@/records/platform/store';
import { decode, encode, shrunk } from './pictures';
import type { PhotoLabel, PhotoSettings } from './photoSettings';
import { cutSwatches, MEASURING_RULES, type PhotoPlace, type Swatch } from './swatches';

export interface StoredPhoto extends PhotoSettings {
  readonly id: string;
  readonly hash: string;
  readonly width: number;
  readonly height: number;
  readonly firingId: string | null;
  readonly at: Date;
}

/** A photo as it is shown small: where the piece stands in it lets a zone be pointed at. */
export type ShownPhoto = Pick<StoredPhoto, 'hash' | 'width' | 'height' | 'frame'>;

/** What {@link shownPhoto} reads of a photo joined as "ph". */
export const SHOWN_PHOTO = [
  'ph.hash as photo_hash',
  'ph.width as photo_width',
  'ph.height as photo_height',
  'ph.frame as photo_frame',
] as const;

/** The photo of a joined row; null where there is none. */
export function shownPhoto(
  row: JoinedRow<{ ph: Maybe<'photo'> }, (typeof SHOWN_PHOTO)[number]>,
): ShownPhoto | null {
  if (!row.photo_hash) return null;
  return {
    hash: row.photo_hash,
    width: row.photo_width!,
    height: row.photo_height!,
    frame: fromJson<Frame>(row.photo_frame),
  };
}

/**
 * Adds a photo to a piece. The picture is decoded and encoded again, turned upright, with its metadata and
 * location dropped. A frame is guessed unless set; the piece's zones of that firing get their swatch and
 * measured colour from it.
 *
 * @throws Refusal when the bytes are no picture that can be read
 */
export async function addPhoto(
  base: Db,
  store: Store,
  memberId: string,
  photo: {
    id: string;
    pieceId: string;
    firingId: string | null;
    bytes: Buffer;
    settings?: Partial<PhotoSettings>;
  },
): Promise<StoredPhoto> {
  const upright = await decode(photo.bytes);
  const { width, height } = upright.info;
  const settings: PhotoSettings = {
    frame: photo.settings?.frame ?? guessFrame(await shrunk(upright, 480)),
    gains: photo.settings?.gains ?? null,
    strokes: photo.settings?.strokes ?? [],
    labels: photo.settings?.labels ?? [],
    view: photo.settings?.view ?? null,
    area: photo.settings?.area ?? null,
    stage: photo.settings?.stage ?? null,
  };
  const [hash, cut] = await Promise.all([
    encode(upright, { quality: 88 }).then((bytes) => store.put(bytes)),
    photo.firingId ? cutSwatches(base, store, photo as PhotoPlace, upright, settings) : [],
  ]);
  await inTransaction(base, async (trx) => {
    if (await trx('photo').where({ id: photo.id }).first('id')) return;
    const piece = found(await trx('piece').where({ id: photo.pieceId }).first('photo_id'), 'This piece');
    await trx('photo').insert({
      id: photo.id,
      piece_id: photo.pieceId,
      firing_id: photo.firingId,
      hash,
      width,
      height,
      ...settingColumns(settings),
      measured_by: MEASURING_RULES,
      member_id: memberId,
      at: new Date(),
    });
    if (!piece.photo_id || showsWhole(settings))
      await trx('piece').where({ id: photo.pieceId }).update({ photo_id: photo.id });
    // What somebody chose stays before what comes later.
    if (await chosenOf(trx, photo)) await recutPiece(trx, store, photo.pieceId, photo.firingId);
    else await putSwatches(trx, cut);
    await recordChange(trx, memberId, 'photo', photo.id, null, { piece: photo.pieceId, hash });
  });
  return { id: photo.id, hash, width, height, ...settings, firingId: photo.firingId, at: new Date() };
}

/** Whether a photo may stand for its piece: a detail, and one of raw glaze, do not. */
function showsWhole({ view, stage }: Pick<PhotoSettings, 'view' | 'stage'>): boolean {
  return view !== 'area' && stage !== 'before';
}

/** A photo of the same piece and firing that somebody chose. */
async function chosenOf(trx: Db, { pieceId, firingId }: { pieceId: string; firingId: string | null }) {
  const same = { piece_id: pieceId, firing_id: firingId, ended_at: null };
  return trx('photo').where(same).whereNotNull('chosen_at').first('id');
}

function settingColumns({ frame, gains, strokes, labels, view, area, stage }: PhotoSettings) {
  return {
    frame: JSON.stringify(frame),
    gains: gains && JSON.stringify(gains),
    strokes: JSON.stringify(strokes),
    labels: JSON.stringify(labels),
    view,
    area,
    stage,
  };
}

/** Gives zones the swatches cut for them, and sums up the entries they prove. */
async function putSwatches(trx: Db, cut: readonly Swatch[]): Promise<void> {
  for (const { zoneId, ...swatch } of cut) await trx('zone').where({ id: zoneId }).update(swatch);
  await refreshEntries(trx, [...new Set(cut.length ? await entriesOf(trx, cut) : [])]);
}

/**
 * Sets a stored photo again: its zones are cut and measured again.
 *
 * @throws NotFound when the photo is not stored
 */
export async function setPhoto(
  base: Db,
  store: Store,
  memberId: string,
  { id, ...settings }: PhotoSettings & { readonly id: string },
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const before = found(await trx('photo').where({ id }).forUpdate().first(), 'This photo');
    await trx('photo').where({ id }).update(settingColumns(settings));
    await recutPiece(trx, store, before.piece_id, before.firing_id);
    const said = ({ frame, view, area, labels }: PhotoSettings) => ({ frame, view, area, labels });
    await recordChange(trx, memberId, 'photo', id, said(settingsOf(before)), said(settings));
  });
}

/**
 * Cuts the swatches of a piece in a firing again from all its live photos, so that a zone is what the photo of its side
 * shows that was chosen last, or else the newest; one that none shows has none.
 */
async function recutPiece(trx: Db, store: Store, pieceId: string, firingId: string | null): Promise<void> {
  if (!firingId) return;
  const photos = await trx('photo')
    .where({ piece_id: pieceId, firing_id: firingId, ended_at: null })
    .orderByRaw('chosen_at is not null, chosen_at, at');
  const cuts = new Map<string, Swatch>();
  for (const photo of photos) {
    const bytes = await store.get(photo.hash);
    if (!bytes) continue;
    const settings = settingsOf(photo);
    const place = { id: photo.id, pieceId, firingId };
    for (const cut of await cutSwatches(trx, store, place, await decode(bytes), settings))
      cuts.set(cut.zoneId, cut);
  }
  const zones = await trx('zone').where({ piece_id: pieceId, firing_id: firingId, ended_at: null });
  const none = zones.filter(({ id, swatch_hash }) => !cuts.has(id) && swatch_hash !== null);
  for (const { id: zoneId } of none)
    cuts.set(zoneId, { zoneId, photo_id: null, swatch_hash: null, colour: null, palette: null });
  await putSwatches(trx, [...cuts.values()]);
}

/**
 * Measures the photos of one piece again that were measured by the rules of a release before.
 *
 * @returns whether there may be more
 */
export async function remeasureNext(base: Db, store: Store): Promise<boolean> {
  return inTransaction(base, async (trx) => {
    const stale = await trx('photo')
      .where('measured_by', '<', MEASURING_RULES)
      .orderBy('id')
      .forUpdate()
      .skipLocked()
      .first('piece_id', 'firing_id');
    if (!stale) return false;
    const same = { piece_id: stale.piece_id, firing_id: stale.firing_id };
    await recutPiece(trx, store, stale.piece_id, stale.firing_id);
    await trx('photo').where(same).update({ measured_by: MEASURING_RULES });
    await recordChange(trx, null, 'photo rules', stale.piece_id, null, { rules: MEASURING_RULES });
    return true;
  });
}

type SettingRow = Pick<PhotoRow, 'frame' | 'gains' | 'strokes' | 'labels' | 'view' | 'area' | 'stage'>;

function settingsOf(row: SettingRow): PhotoSettings {
  return {
    frame: fromJson<Frame>(row.frame),
    gains: row.gains ? fromJson<Gains>(row.gains) : null,
    strokes: row.strokes ? fromJson<Point[][]>(row.strokes) : [],
    labels: row.labels ? fromJson<PhotoLabel[]>(row.labels) : [],
    view: row.view,
    area: row.area,
    stage: row.stage,
  };
}

/** The piece that a photo is of, with whose it is. @throws NotFound */
export async function pieceOfPhoto(base: Db, id: string): Promise<{ memberId: string }> {
  const row = await base('photo as ph')
    .join('piece as p', 'p.id', 'ph.piece_id')
    .where('ph.id', id)
    .first<{ member_id: string } | undefined>('p.member_id');
  return { memberId: found(row, 'This photo').member_id };
}

/** Says what a photo shows, or writes on it: its zones are cut and measured again. */
export async function changePhoto(
  base: Db,
  store: Store,
  memberId: string,
  { id, ...said }: { readonly id: string } & Partial<Pick<PhotoSettings, 'view' | 'area' | 'labels'>>,
): Promise<void> {
  const row = found(
    await base('photo').where({ id }).first('frame', 'gains', 'strokes', 'labels', 'view', 'area', 'stage'),
    'This photo',
  );
  await setPhoto(base, store, memberId, { ...settingsOf(row), ...said, id });
}

/** When a photo was taken: before a firing or after it, or not fired yet. */
export interface PhotoTime {
  readonly id: string;
  readonly firingId: string | null;
  readonly stage: ReadingStage;
}

/**
 * Says when a photo was taken. One from before a firing shows raw glaze: no zone is measured from it.
 *
 * @throws Refusal of `firingId` when its piece was not in that firing
 */
export async function setPhotoTime(
  base: Db,
  store: Store,
  memberId: string,
  { id, firingId, stage }: PhotoTime,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const row = found(await trx('photo').where({ id, ended_at: null }).forUpdate().first(), 'This photo');
    const place = { piece_id: row.piece_id, firing_id: firingId };
    if (firingId && !(await trx('firing_piece').where(place).first('piece_id')))
      throw new Refusal('firingId', 'This piece was not in that firing.');
    await trx('photo').where({ id }).update({ firing_id: firingId, stage });
    if (row.firing_id !== firingId) await recutPiece(trx, store, row.piece_id, row.firing_id);
    await recutPiece(trx, store, row.piece_id, firingId);
    const before = { firing: row.firing_id, stage: row.stage };
    await recordChange(trx, memberId, 'photo', id, before, { firing: firingId, stage });
  });
}

/**
 * Chooses a photo as the best of its view: it is shown before the others of its piece, and its zones are measured
 * from it, also when others come later.
 */
export async function choosePhoto(base: Db, store: Store, memberId: string, id: string): Promise<void> {
  await inTransaction(base, async (trx) => {
    const { piece_id, firing_id } = found(
      await trx('photo').where({ id, ended_at: null }).forUpdate().first('piece_id', 'firing_id'),
      'This photo',
    );
    await trx('piece').where({ id: piece_id }).update({ photo_id: id });
    await trx('photo').where({ id }).update({ chosen_at: new Date() });
    await recutPiece(trx, store, piece_id, firing_id);
    await recordChange(trx, memberId, 'photo', id, null, { chosen: true });
  });
}

/** Removes a photo, or brings it back; it stays in the history. What was measured from it goes with it. */
export async function removePhoto(
  base: Db,
  store: Store,
  memberId: string,
  { id, isRemoved }: { readonly id: string; readonly isRemoved: boolean },
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const row = found(await trx('photo').where({ id }).forUpdate().first(), 'This photo');
    await trx('photo')
      .where({ id })
      .update({ ended_at: isRemoved ? new Date() : null });
    await showNewest(trx, row.piece_id);
    await recutPiece(trx, store, row.piece_id, row.firing_id);
    await recordChange(
      trx,
      memberId,
      'photo',
      id,
      { removed: row.ended_at !== null },
      { removed: isRemoved },
    );
  });
}

/**
 * Moves a photo that was added to the wrong piece to another, into the firing that this came out of last.
 *
 * @throws Refusal of `label` for a number that no piece has
 */
export async function movePhoto(
  base: Db,
  store: Store,
  memberId: string,
  { id, label }: { readonly id: string; readonly label: string },
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const row = found(await trx('photo').where({ id, ended_at: null }).forUpdate().first(), 'This photo');
    const goal = await trx('piece').where({ label: label.trim().toUpperCase() }).first('id');
    if (!goal) throw new Refusal('label', `There is no piece ${label}.`);
    const last = await trx('firing_piece as fp')
      .join('firing as f', 'f.id', 'fp.firing_id')
      .where({ 'fp.piece_id': goal.id })
      .whereIn('f.state', ['open', 'closed'])
      .orderBy('fp.at', 'desc')
      .first<{ id: string } | undefined>('f.id');
    const firing_id = last?.id ?? null;
    await trx('photo').where({ id }).update({ piece_id: goal.id, firing_id });
    await showNewest(trx, row.piece_id);
    await trx('piece').where({ id: goal.id }).update({ photo_id: id });
    await recutPiece(trx, store, row.piece_id, row.firing_id);
    await recutPiece(trx, store, goal.id, firing_id);
    await recordChange(trx, memberId, 'photo', id, { piece: row.piece_id }, { piece: goal.id });
  });
}

/** Shows the newest live photo of a piece, when the one that was shown is none of its own any more. */
async function showNewest(trx: Db, pieceId: string): Promise<void> {
  const live = await trx('photo')
    .where({ piece_id: pieceId, ended_at: null })
    .orderBy('at', 'desc')
    .select('id');
  const piece = found(await trx('piece').where({ id: pieceId }).first('photo_id'), 'This piece');
  if (live.some(({ id }) => id === piece.photo_id)) return;
  await trx('piece')
    .where({ id: pieceId })
    .update({ photo_id: live[0]?.id ?? null });
}

async function entriesOf(trx: Db, cut: readonly { zoneId: string }[]): Promise<string[]> {
  const rows: { entry_id: string | null }[] = await trx('zone')
    .whereIn(
      'id',
      cut.map((zone) => zone.zoneId),
    )
    .select('entry_id');
  return rows.flatMap((row) => row.entry_id ?? []);
}

/** The live photos of pieces, newest first. */
export async function photosOf(
  base: Db,
  pieceIds: readonly string[],
): Promise<(StoredPhoto & { pieceId: string })[]> {
  const rows = await base('photo').whereIn('piece_id', pieceIds).whereNull('ended_at').orderBy('at', 'desc');
  return rows.map((row) => ({
    id: row.id,
    pieceId: row.piece_id,
    hash: row.hash,
    width: row.width,
    height: row.height,
    ...settingsOf(row),
    firingId: row.firing_id,
    at: row.at,
  }));
}
