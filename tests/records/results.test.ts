import { mkdtemp, readdir, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { hadInHand, headwordPage, tilesOf, lookUp } from '@/records/dictionary';
import { newId, Refusal, folderStore, type Store } from '@/records/platform';
import { advanceFiring } from '@/records/firings';
import {
  addPhoto,
  changePhoto,
  choosePhoto,
  movePhoto,
  pictureAt,
  piecePage,
  removePhoto,
  saveWare,
  setPhotoTime,
} from '@/records/pieces';
import { todayIn } from '@/records/rounds';
import { openingOf, recordPiece } from '@/records/openings';
import { dip, fired, freshStudio, readAll, reading, tile, type Studio } from './studio';

let studio: Studio;
let folder: string;
let store: Store;
beforeAll(async () => {
  studio = await freshStudio('results');
  folder = await mkdtemp(join(tmpdir(), 'jiten-photos-'));
  store = folderStore(folder);
});
afterAll(async () => {
  await studio.base.destroy();
  await rm(folder, { recursive: true });
});

/** A tile in two colours on grey, with a location in its metadata. */
async function snapshot(): Promise<Buffer> {
  const half = (background: string) =>
    sharp({ create: { width: 120, height: 150, channels: 3, background } })
      .png()
      .toBuffer();
  return sharp({ create: { width: 300, height: 400, channels: 3, background: '#c9c9c9' } })
    .composite([
      { input: await half('#f0e8d8'), left: 90, top: 50 },
      { input: await half('#2b1a14'), left: 90, top: 200 },
    ])
    .withExif({ IFD0: { Copyright: 'somebody' }, IFD3: { GPSLatitude: '51/1 30/1 0/1' } })
    .jpeg()
    .toBuffer();
}

test('a photo loses its metadata, gives each zone its swatch and colour, and is stored once', async () => {
  const { base, member, glazes } = studio;
  const { firingId, ids } = await fired(studio, [
    tile(studio, [dip(glazes.Sleeper, 0, 0.5), dip(glazes.Limewash, 0.5, 1)]),
  ]);
  await readAll(studio, firingId, () => ({ surface: 'satin', movement: null, colour: null }));
  const photo = { id: newId(), pieceId: ids[0]!, firingId, bytes: await snapshot() };
  const { hash, frame } = await addPhoto(base, store, member, photo);
  await addPhoto(base, store, member, photo);
  expect(await base('photo').where({ piece_id: ids[0]! })).toHaveLength(1);
  expect(frame.left).toBeCloseTo(0.3, 1);
  expect(frame.foot).toBeCloseTo(0.875, 1);
  const kept = await sharp((await store.get(hash))!).metadata();
  expect(kept).toMatchObject({ format: 'webp', width: 300, height: 400 });
  expect(kept.exif).toBeUndefined();
  const zones = (await piecePage(base, ids[0]!)).firings[0]!.zones;
  expect(zones.map((zone) => [zone.headword, zone.colour])).toEqual([
    ['Sleeper', expect.stringMatching(/^#2.1.1.$/)],
    ['Limewash', expect.stringMatching(/^#[ef].e.d.$/)],
  ]);
  const [entry] = await base('entry as e')
    .join('zone as z', 'z.entry_id', 'e.id')
    .where('z.id', zones[0]!.id)
    .select('e.swatch_hash', 'e.colour');
  expect(entry.swatch_hash).toBe(zones[0]!.swatchHash);
  const small = await pictureAt(store, hash, 96);
  expect((await sharp(small!).metadata()).width).toBe(96);
  expect(await pictureAt(store, 'x'.repeat(43), 96)).toBeNull();
  expect((await readdir(folder, { recursive: true })).some((name) => name.endsWith('.half'))).toBe(false);
});

test('an entry is shown by the tile that it takes most of', async () => {
  const { base, member, glazes } = studio;
  const { firingId, ids } = await fired(studio, [
    tile(studio, [dip(glazes.Whitestrip, 0, 1), dip(glazes.Sleeper, 0.1, 1)]),
    tile(studio, [dip(glazes.Whitestrip, 0, 1), dip(glazes.Sleeper, 0.1, 0.3)]),
  ]);
  const photos = await Promise.all(
    ids.map(async (pieceId, i) => {
      const bytes = await sharp(await snapshot())
        .extend({ top: i, background: '#c9c9c9' })
        .toBuffer();
      return addPhoto(base, store, member, { id: newId(), pieceId, firingId, bytes });
    }),
  );
  const zones = await base('zone').whereIn('piece_id', ids).whereNull('ended_at').select('entry_id', 'from');
  const bottom = zones.find(({ from }) => from === 0)!.entry_id!;
  const covered = zones.find(({ from }) => from === 0.1)!.entry_id!;
  const tiles = await tilesOf(base, [bottom, covered]);
  expect(tiles.get(covered)).toBe(photos[0]!.hash);
  expect(tiles.get(bottom)).toBe(photos[1]!.hash);
});

test('a photo feeds the side that it shows; moved or removed, what was measured from it goes with it', async () => {
  const { base, member, glazes } = studio;
  const cup = {
    ...tile(studio, [
      dip(glazes.Limewash, 0, 1, { side: 'inside', times: 2 }),
      dip(glazes.Sleeper, 0, 1, { times: 8 }),
    ]),
    form: 'cup' as const,
  };
  const { firingId, ids } = await fired(studio, [cup, cup]);
  const [right, wrong] = ids as [string, string];
  await readAll(studio, firingId, () => ({ colour: null }));
  const photo = { id: newId(), pieceId: wrong, firingId, bytes: await snapshot() };
  const { hash } = await addPhoto(base, store, member, photo);
  const coloured = async (pieceId: string) =>
    (await piecePage(base, pieceId)).firings[0]!.zones.filter(({ colour }) => colour !== null).map(
      ({ side }) => side,
    );
  // As long as nobody said, a cup was taken from outside: it is no picture of what lies inside.
  expect(await coloured(wrong)).toEqual(['outside']);
  const pictured = async (text: string, times: number) => {
    const row = await base('headword').where({ text }).first('id');
    const { senses } = await headwordPage(base, row!.id);
    const proofs = senses.find(({ stack }) => stack[0]!.times === times)!.proofs;
    return proofs.find(({ pieceId }) => pieceId === wrong)!.photo !== null;
  };
  expect([await pictured('Sleeper', 8), await pictured('Limewash', 2)]).toEqual([true, false]);
  await changePhoto(base, store, member, { id: photo.id, view: 'inside' });
  expect(await coloured(wrong)).toEqual(['inside']);
  const { label } = await piecePage(base, right);
  await expect(movePhoto(base, store, member, { id: photo.id, label: 'SW-9999' })).rejects.toMatchObject({
    field: 'label',
  });
  await movePhoto(base, store, member, { id: photo.id, label: label.toLowerCase() });
  expect([await coloured(wrong), await coloured(right)]).toEqual([[], ['inside']]);
  expect([(await piecePage(base, wrong)).photoHash, (await piecePage(base, right)).photoHash]).toEqual([
    null,
    hash,
  ]);
  const second = { ...photo, id: newId(), pieceId: right };
  await addPhoto(base, store, member, second);
  await choosePhoto(base, store, member, photo.id);
  expect((await coloured(right)).sort()).toEqual(['inside', 'outside']);
  await removePhoto(base, store, member, { id: photo.id, isRemoved: true });
  expect(await coloured(right)).toEqual(['outside']);
  expect((await piecePage(base, right)).photos.map(({ id }) => id)).toEqual([second.id]);
  await removePhoto(base, store, member, { id: photo.id, isRemoved: false });
  expect((await coloured(right)).sort()).toEqual(['inside', 'outside']);
  expect(await base('photo').where({ id: photo.id })).toHaveLength(1);
});

test('a zone is measured from the photo that was chosen, whatever comes later, and from none of raw glaze', async () => {
  const { base, member, glazes } = studio;
  const { firingId, ids } = await fired(studio, [tile(studio, [dip(glazes.Limewash, 0, 1, { times: 9 })])]);
  const pieceId = ids[0]!;
  await readAll(studio, firingId, () => ({ colour: null }));
  const take = async (background: string, more: { view?: 'area'; stage?: 'before' } = {}) => {
    const frame = { left: 0, right: 1, rim: 0, foot: 1 };
    const bytes = await sharp({ create: { width: 300, height: 400, channels: 3, background } })
      .jpeg()
      .toBuffer();
    const photo = { id: newId(), pieceId, firingId, bytes, settings: { frame, ...more } };
    await addPhoto(base, store, member, photo);
    return photo.id;
  };
  const seen = async () => {
    const page = await piecePage(base, pieceId);
    const row = await base('zone').where({ piece_id: pieceId, ended_at: null }).first('photo_id');
    const shown = page.photos.find(({ hash }) => hash === page.photoHash)!.id;
    return [row!.photo_id, page.firings[0]!.zones[0]!.colour?.slice(0, 2) ?? null, shown];
  };
  const raw = await take('#101010', { stage: 'before' });
  expect(await seen()).toEqual([null, null, raw]);
  const green = await take('#207020');
  expect(await seen()).toEqual([green, '#2', green]);
  await choosePhoto(base, store, member, green);
  const red = await take('#c02020');
  const detail = await take('#e0e0e0', { view: 'area' });
  // The newest whole picture is shown first, as nobody chose since; the zone stays with the chosen one.
  expect(await seen()).toEqual([green, '#2', red]);
  await choosePhoto(base, store, member, red);
  expect(await seen()).toEqual([red, '#c', red]);
  const time = { firingId, stage: 'before' as const };
  await setPhotoTime(base, store, member, { id: red, ...time });
  expect(await seen()).toEqual([green, '#2', red]);
  await setPhotoTime(base, store, member, { id: green, ...time, firingId: null });
  expect((await seen())[0]).toBeNull();
  const elsewhere = { id: green, firingId: newId(), stage: 'after' as const };
  await expect(setPhotoTime(base, store, member, elsewhere)).rejects.toMatchObject({ field: 'firingId' });
  const labels = [{ at: { x: 0.2, y: 0.9 }, words: 'a drip' }];
  await changePhoto(base, store, member, { id: detail, labels });
  const { photos } = await piecePage(base, pieceId);
  expect(photos.find(({ id }) => id === detail)).toMatchObject({ labels, view: 'area' });
});

test.each([
  ['bytes that are no picture', async () => Buffer.from('not a picture')],
  [
    'a drawing that could load other files',
    async () =>
      Buffer.from(
        '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><rect width="9" height="9"/></svg>',
      ),
  ],
  [
    'a picture that unpacks to more than any camera makes',
    () =>
      sharp(Buffer.alloc(10_001 ** 2), {
        raw: { width: 10_001, height: 10_001, channels: 1 },
        limitInputPixels: false,
      })
        .png({ compressionLevel: 1 })
        .toBuffer(),
  ],
])('%s: refused in words', async (_, bytesOf) => {
  const { ids, firingId } = await fired(studio, [tile(studio)]);
  const bytes = await bytesOf();
  const wrong = addPhoto(studio.base, store, studio.member, {
    id: newId(),
    pieceId: ids[0]!,
    firingId,
    bytes,
  });
  await expect(wrong).rejects.toThrow(Refusal);
  await expect(wrong).rejects.toMatchObject({ field: 'photo' });
  expect(await studio.base('photo').where({ piece_id: ids[0]! })).toEqual([]);
});

test('proofs of a firing more than half a cone off are shown apart and not counted', async () => {
  const { base, member, glazes } = studio;
  const draft = tile(studio, [dip(glazes.Limewash, 0, 1, { times: 3 })]);
  const [good, hot] = [await fired(studio, [draft, draft]), await fired(studio, [draft])];
  await readAll(studio, good.firingId, () => ({ surface: 'satin', movement: null, colour: null }));
  await readAll(studio, hot.firingId, () => ({ surface: 'gloss', movement: null, colour: null }));
  const sense = async () => {
    const row = await base('headword').where({ text: 'Limewash' }).first('id');
    return (await headwordPage(base, row!.id)).senses.find((one) => one.stack[0]!.times === 3)!;
  };
  expect((await sense()).summary).toMatchObject({ proofs: 3, agreeing: 2 });
  await advanceFiring(base, member, hot.firingId, 'open', { achievedCone: 7 });
  const after = await sense();
  expect(after.summary).toMatchObject({ proofs: 2, agreeing: 2, surface: 'satin' });
  expect(after.proofs.filter((proof) => !proof.counts)).toHaveLength(1);
});

test('one field looks everything up', async () => {
  const { base } = studio;
  const answers = async (text: string) =>
    (await lookUp(base, text)).answers.map((answer) => `${answer.kind} ${answer.text}`);
  expect(await answers('limew')).toEqual(expect.arrayContaining(['entry Limewash', 'glaze Limewash']));
  expect(await answers('sw-0001')).toContain('piece SW-0001');
  expect(await answers('crazed')).toEqual(['defect crazed']);
  expect(await answers('red')).toContain('clay Cutting Red');
  expect(await answers('number two 1')).toContain('firing Number Two 1');
  expect(await answers('limwash')).toEqual(expect.arrayContaining(['entry Limewash', 'glaze Limewash']));
  expect(await answers('cuttign')).toContain('clay Cutting Red');
  expect(await answers('100%_')).toEqual([]);
  expect(await answers('  ')).toEqual([]);
});

test('looking up takes notes, makers and remarks along, and a glaze together with a clay', async () => {
  const { base, glazes } = studio;
  const noted = { ...tile(studio, [dip(glazes.Limewash, 0, 1)]), note: 'Handle for the harbour master' };
  const { firingId } = await fired(studio, [noted]);
  await readAll(studio, firingId);
  await base('firing').where({ id: firingId }).update({ remarks: 'Thunderstorm, power out for an hour' });
  const answers = async (text: string) => (await lookUp(base, text)).answers;
  const [piece, ...others] = await answers('harbour handle');
  expect(others).toEqual([]);
  expect(piece).toMatchObject({
    kind: 'piece',
    detail: expect.stringMatching(/^tile by Ines Varga: Handle for the harbour master$/),
  });
  expect((await answers('thunder')).map(({ href }) => href)).toEqual([`/firings/${firingId}`]);
  expect((await answers('varga harbour')).map(({ href }) => href)).toEqual([piece!.href]);
  // Named twice, by number and by note, it stands once.
  const number = piece!.text;
  expect((await answers(number)).filter(({ text }) => text === number)).toHaveLength(1);
  const entries = (await answers('limewash on cutting red')).filter(({ kind }) => kind === 'entry');
  expect(entries[0]).toMatchObject({ text: 'Limewash', detail: 'entry, on Cutting Red' });
  expect((await answers('limewash nowhere')).filter(({ kind }) => kind === 'entry')).toEqual([]);
});

test('looking up knows what people say, orders, owners, readings, and the pieces one had in hand', async () => {
  const { base, member, glazes } = studio;
  await base('glaze').where({ id: glazes.Sleeper }).update({ also: 'tenmoku, the black bucket' });
  const hrefs = async (text: string) => (await lookUp(base, text)).answers.map(({ href }) => href);
  const texts = async (text: string) =>
    (await lookUp(base, text)).answers.map((answer) => `${answer.kind} ${answer.text}`);
  expect(await texts('tenmoku')).toEqual(expect.arrayContaining(['glaze Sleeper', 'entry Sleeper']));
  expect(await texts('tenmokou')).toContain('glaze Sleeper');
  expect(await texts('brittle')).toEqual(['defect black core']);
  expect(await texts('crackle')).toContain('defect crazed');

  const orderId = newId();
  await base('piece_order').insert({
    id: orderId,
    name: 'Ferry café',
    wanted: 'beakers',
    count: 12,
    note: '',
  });
  const { firingId, ids } = await fired(studio, [tile(studio)]);
  await base('piece').where({ id: ids[0]! }).update({ order_id: orderId });
  const { label } = (await base('piece').where({ id: ids[0]! }).first('label'))!;
  await saveWare(base, member, { pieceId: ids[0]!, said: { owner: 'Aunt Perpetua' } });
  await readAll(studio, firingId, () => ({ note: 'smells of struck flint' }));
  const piece = `/pieces/${label}`;
  expect(await texts('limewash over tenmoku')).toContain('entry Limewash over Sleeper');
  expect(await hrefs('beakers')).toEqual([`/orders/${orderId}`]);
  expect(await hrefs('ferry café')).toEqual([`/orders/${orderId}`, piece]);
  expect([await hrefs('perpetua'), await hrefs('struck flint')]).toEqual([[piece], [piece]]);

  const [first, ...more] = await hadInHand(base, member, new Date());
  expect(first).toMatchObject({ href: piece, detail: 'tile, Cutting Red; today' });
  expect(more.map(({ href }) => href)).not.toContain(piece);
  const tomorrow = new Date(Date.now() + 24 * 3_600_000);
  expect((await hadInHand(base, member, tomorrow))[0]!.detail).toMatch(/; yesterday$/);
  expect(await hadInHand(base, newId(), new Date())).toEqual([]);
});

test('today says what waits', async () => {
  const { base, glazes } = studio;
  const { ids } = await fired(studio, [tile(studio, [dip(glazes.Sleeper, 0, 1)])]);
  const today = await todayIn(base, new Date());
  expect(today.unread.pieces.map((piece) => piece.id)).toContain(ids[0]);
  expect(today.kilns.map((kiln) => kiln.name)).toEqual(['Number Two']);
  expect(today.firings.every((firing) => firing.state !== 'closed')).toBe(true);
});

test('a pot whose zones disagree is divided: shown on the entry, counted neither way', async () => {
  const { base, member, glazes } = studio;
  const pot = {
    ...tile(studio, [
      dip(glazes.Limewash, 0, 1, { side: 'inside', times: 4 }),
      dip(glazes.Limewash, 0.1, 1, { times: 4 }),
    ]),
    form: 'cup' as const,
  };
  const { firingId, ids } = await fired(studio, [pot, pot]);
  for (const [i, piece] of (await openingOf(base, firingId)).pieces.entries()) {
    const readings = piece.zones
      .filter((zone) => zone.stack.length > 0)
      .map((zone) =>
        reading(zone.id, {
          colour: null,
          defects:
            i === 0 && zone.side === 'inside'
              ? [{ defect: 'pitting', severity: 2, place: 'everywhere' }]
              : [],
        }),
      );
    await recordPiece(base, member, { pieceId: piece.id, firingId, state: 'read', fate: null, readings });
  }
  const zone = (await piecePage(base, ids[0]!)).firings[0]!.zones.find(({ stack }) => stack.length > 0)!;
  const sense = (await headwordPage(base, zone.headwordId!)).senses.find(
    ({ stack }) => stack[0]?.times === 4,
  );
  expect(sense!.summary).toMatchObject({ proofs: 1, firings: 1, agreeing: 1, defects: [] });
  expect(sense!.proofs.filter(({ isDivided }) => isDivided)).toHaveLength(2);
  expect(new Set(sense!.proofs.filter(({ isDivided }) => isDivided).map(({ pieceId }) => pieceId)).size).toBe(
    1,
  );
});
