import { mkdtemp, readdir, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beginPrint, printed, printJob, stopPrint } from './jobs';
import { SHEETS, viewsOf } from '@/features/wall/server';

describe('a poster on sheets', () => {
  test.each(['A3', 'A2', 'A1', 'A0'] as const)(
    '%s on A4 is covered without a gap, neighbours overlapping',
    (size) => {
      const [high, wide] = SHEETS[size];
      const views = viewsOf({ wide, high }, { size, sheet: 'A4' });
      for (let x = 0.5; x < wide; x += 7)
        for (let y = 0.5; y < high; y += 7)
          expect(
            views.some(
              (view) => x >= view.x && x <= view.x + view.wide && y >= view.y && y <= view.y + view.high,
            ),
          ).toBe(true);
      const second = views.find((view) => view.x > 0)!;
      expect(views[0]!.x + views[0]!.wide - second.x).toBeCloseTo(8, 9);
      expect(views.every((view) => view.x < wide && view.y < high)).toBe(true);
    },
  );

  test('in one piece it is one sheet without edges', () => {
    expect(viewsOf({ wide: 420, high: 297 }, { size: 'A3', sheet: 'A3' })).toMatchObject([
      { edge: 0, wide: 420 },
    ]);
  });
});

describe('a long print', () => {
  let folder: string;
  beforeAll(async () => {
    folder = await mkdtemp(join(tmpdir(), 'jiten-print-'));
    process.env.JITEN_DATA = folder;
  });
  afterAll(() => rm(folder, { recursive: true }));

  const until = async (id: string, state: string) => {
    while ((await printJob(id))?.state !== state) await new Promise((done) => setTimeout(done, 20));
  };

  test('is begun once, tells how far it is, and is there when it is done', async () => {
    let begun = 0;
    const write: Parameters<typeof beginPrint>[1] = async (sink, onDone) => {
      begun++;
      await onDone(1, 2);
      await new Promise<void>((done) => sink.end('the book', done));
    };
    await Promise.all([beginPrint('ONE', write), beginPrint('ONE', write)]);
    await beginPrint('ONE', write);
    await until('ONE', 'done');
    expect(begun).toBe(1);
    expect(await printJob('ONE')).toEqual({ state: 'done', done: 1, of: 2 });
    expect((await printed('ONE'))!.toString()).toBe('the book');
  });

  test('stops when it is told to, and leaves nothing half done; what fails says so', async () => {
    await beginPrint('TWO', async (_, onDone, signal) => {
      for (let i = 0; ; i++) {
        signal.throwIfAborted();
        await onDone(i, 1000);
        await new Promise((done) => setTimeout(done, 20));
      }
    });
    await stopPrint('TWO');
    await until('TWO', 'stopped');
    expect(await printed('TWO')).toBeNull();
    await beginPrint('THREE', () => Promise.reject(new Error('no paper')));
    await until('THREE', 'failed');
    expect((await readdir(join(folder, 'prints'))).filter((name) => name.endsWith('.half'))).toEqual([]);
    expect(await printJob('NONE')).toBeNull();
  });
});
