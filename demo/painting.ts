import { Worker } from 'node:worker_threads';
import { type Db, newId, type Store } from '@/records/platform';
import { openingOf } from '@/records/openings';
import { addPhoto } from '@/records/pieces';
import { noteJob, todayIn } from '@/records/rounds';
import { wallChoices } from '@/records/dictionary';
import type { PaintedPiece } from './paint';
import { sceneOf } from './scene';

const JOB = 'Pictures painted';

/**
 * Pieces that still have no picture of what a firing made of them, those on screen first: what Today doubts,
 * then what the wall shows when it is opened, then the rest.
 */
async function unpainted(base: Db): Promise<{ firing_id: string; piece_id: string }[]> {
  const [today, wall] = await Promise.all([todayIn(base, new Date()), wallChoices(base)]);
  const [first] = wall;
  const doubted = today.weak.map(({ id }) => id);
  return base('firing_piece as fp')
    .join('firing as f', 'f.id', 'fp.firing_id')
    .leftJoin(
      'photo as ph',
      (join) => void join.on('ph.piece_id', 'fp.piece_id').andOn('ph.firing_id', 'fp.firing_id'),
    )
    .whereNull('ph.id')
    .where('fp.state', 'read')
    .orderByRaw(
      `exists (select 1 from zone as z where z.piece_id = fp.piece_id and z.firing_id = fp.firing_id
        and z.entry_id in (?)) desc, (f.cone = ? and f.atmosphere = ?) desc, f.planned_on, fp.place`,
      [doubted.length ? doubted : [''], first?.cone ?? '', first?.atmosphere ?? ''],
    )
    .select('fp.firing_id', 'fp.piece_id');
}

/**
 * Paints the pictures of all opened pieces that have none, on `hands` threads, and adds each through the
 * same door as an uploaded photo. Can be stopped and taken up again: what is painted stays.
 */
export async function paintDemo(
  base: Db,
  store: Store,
  memberId: string,
  hands: number,
  say: (done: number, total: number) => void,
): Promise<void> {
  const wanted = await unpainted(base);
  if (wanted.length === 0) return noteJob(base, JOB, 1, 1);
  const scenes = new Map<string, PaintedPiece>();
  const clays = new Map((await base('body').select('id', 'name')).map(({ id, name }) => [id, name]));
  for (const firingId of new Set(wanted.map((row) => row.firing_id))) {
    const { firing, pieces } = await openingOf(base, firingId);
    for (const piece of pieces)
      scenes.set(`${firingId}/${piece.id}`, sceneOf(piece, firing, undefined, clays));
  }
  let taken = 0;
  let done = 0;
  await noteJob(base, JOB, 0, wanted.length);
  const hand = async () => {
    const worker = new Worker(new URL('./painter.mjs', import.meta.url));
    const painted = (scene: PaintedPiece) =>
      new Promise<{ png: Uint8Array; frame: { left: number; right: number; rim: number; foot: number } }>(
        (resolve, reject) => {
          worker.once('message', resolve);
          worker.once('error', reject);
          worker.postMessage(scene);
        },
      );
    const begin = () => {
      const row = wanted[taken++];
      return row && { row, picture: painted(scenes.get(`${row.firing_id}/${row.piece_id}`)!) };
    };
    // The next picture is on the easel while the last one is put away.
    for (let now = begin(); now;) {
      const { png, frame } = await now.picture;
      worker.removeAllListeners('error');
      const { firing_id, piece_id } = now.row;
      now = begin();
      await addPhoto(base, store, memberId, {
        id: newId(),
        pieceId: piece_id,
        firingId: firing_id,
        bytes: Buffer.from(png),
        settings: { frame },
      });
      await noteJob(base, JOB, ++done, wanted.length);
      say(done, wanted.length);
    }
    await worker.terminate();
  };
  await Promise.all(Array.from({ length: hands }, hand));
}
