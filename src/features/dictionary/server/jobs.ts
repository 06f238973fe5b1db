import 'server-only';
import { once } from 'node:events';
import { createWriteStream } from 'node:fs';
import { mkdir, readdir, readFile, rename, rm, stat, writeFile, access } from 'node:fs/promises';
import { join } from 'node:path';
import type { Writable } from 'node:stream';

/** How far a long print is. */
export interface PrintJob {
  readonly state: 'running' | 'done' | 'stopped' | 'failed';
  readonly done: number;
  readonly of: number;
}

/** Prints are kept so long, ms. */
const KEPT = 86_400_000;
/** A job that said nothing for so long fell over with its server, ms. */
const SILENT = 60_000;

/** Where prints lie: in the data folder, so that several servers show the same. */
function folder(): string {
  return join(process.env.JITEN_DATA ?? '.jiten', 'prints');
}

const fileOf = (id: string, kind: 'json' | 'pdf' | 'stop') => join(folder(), `${id}.${kind}`);

/**
 * Begins a print that goes on after the answer; the same id again is the same print.
 *
 * @param id a ULID made by the client
 * @param write writes it, tells how far it is, and ends by throwing when the signal is aborted
 */
export async function beginPrint(
  id: string,
  write: (
    sink: Writable,
    onDone: (done: number, of: number) => Promise<void>,
    signal: AbortSignal,
  ) => Promise<void>,
): Promise<void> {
  await mkdir(folder(), { recursive: true });
  if (!(await isFirst(id))) return;
  await sweep();
  void run(id, write);
}

/** Whether this is the first to begin a print; of two at a time only one is. */
async function isFirst(id: string): Promise<boolean> {
  const begun: PrintJob = { state: 'running', done: 0, of: 0 };
  return writeFile(fileOf(id, 'json'), JSON.stringify(begun), { flag: 'wx' }).then(
    () => true,
    () => false,
  );
}

async function run(id: string, write: Parameters<typeof beginPrint>[1]): Promise<void> {
  const half = `${fileOf(id, 'pdf')}.half`;
  const stop = new AbortController();
  let last: PrintJob = { state: 'running', done: 0, of: 0 };
  let said = 0;
  const onDone = async (done: number, of: number) => {
    last = { state: 'running', done, of };
    if (Date.now() - said < 250) return;
    said = Date.now();
    if (await isThere(fileOf(id, 'stop'))) stop.abort();
    await say(id, last);
  };
  const sink = createWriteStream(half);
  try {
    await write(sink, onDone, stop.signal);
    await rename(half, fileOf(id, 'pdf'));
    await say(id, { ...last, state: 'done' });
  } catch {
    // A file that is still being opened would come back after it was removed.
    sink.destroy();
    if (!sink.closed) await once(sink, 'close');
    await rm(half, { force: true });
    await say(id, { ...last, state: stop.signal.aborted ? 'stopped' : 'failed' });
  }
}

/** How far a print is; null when there is none. */
export async function printJob(id: string): Promise<PrintJob | null> {
  try {
    const [text, { mtimeMs }] = await Promise.all([
      readFile(fileOf(id, 'json'), 'utf8'),
      stat(fileOf(id, 'json')),
    ]);
    const job = JSON.parse(text) as PrintJob;
    const isSilent = job.state === 'running' && Date.now() - mtimeMs > SILENT;
    return isSilent ? { ...job, state: 'failed' } : job;
  } catch {
    return null;
  }
}

/** Stops a print after the headword it is at. */
export async function stopPrint(id: string): Promise<void> {
  if (await printJob(id)) await writeFile(fileOf(id, 'stop'), '');
}

/** The bytes of a print that is done, or null. */
export async function printed(id: string): Promise<Buffer | null> {
  return readFile(fileOf(id, 'pdf')).catch(() => null);
}

async function say(id: string, job: PrintJob): Promise<void> {
  const half = `${fileOf(id, 'json')}.half`;
  await writeFile(half, JSON.stringify(job));
  await rename(half, fileOf(id, 'json'));
}

function isThere(path: string): Promise<boolean> {
  return access(path).then(
    () => true,
    () => false,
  );
}

/** Takes prints away that are older than they are kept. */
async function sweep(): Promise<void> {
  for (const name of await readdir(folder())) {
    const path = join(folder(), name);
    if (Date.now() - (await stat(path)).mtimeMs > KEPT) await rm(path, { force: true });
  }
}
