import type { Outcome } from '@/auth';
import type { OpeningPiece } from '@/records/openings';
import type { Theirs } from '../draft';
import { kept, type Trouble, type Waiting } from './kept';

/** What the sender tells the page. */
export interface SenderNews {
  /** A write is on the server now, with the piece as it stands there. */
  readonly sent: (waiting: Waiting, piece: OpeningPiece | null) => void;
  /** The queue or the line changed. */
  readonly changed: () => void;
}

export type Line = 'up' | 'down' | 'signed out';

/** Waits between tries while the server does not answer, ms. */
const PAUSES = [2000, 4000, 8000, 15_000];

/** A server that has not answered for so long is gone, ms. */
const PATIENCE = 30_000;

/**
 * Sends what waits on this device in the order it was made, one write at a time, in one tab at a time. A
 * write that is refused stays, with the reason, and holds back later ones of the same piece only. While
 * the server does not answer it tries again, and at once when the network comes back.
 */
export function startSender(memberId: string, news: SenderNews) {
  let line: Line = 'up';
  let running = false;
  let again = false;
  let misses = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function once(): Promise<void> {
    const base = await kept();
    const all = await base.getAll('outbox');
    const held = new Set<string>();
    for (const waiting of all) {
      if (waiting.memberId !== memberId) continue;
      if (waiting.trouble) {
        if (waiting.pieceId) held.add(waiting.pieceId);
        continue;
      }
      if (waiting.pieceId && held.has(waiting.pieceId)) continue;
      // Undone or changed since the list was read?
      const now = await base.get('outbox', waiting.seq!);
      if (!now || now.trouble) continue;
      const answer = await send(now);
      line = answer === 'down' || answer === 'signed out' ? answer : 'up';
      if (answer === 'down' || answer === 'signed out') {
        misses++;
        break;
      }
      misses = 0;
      if ('faults' in answer) {
        await base.put('outbox', { ...now, trouble: answer });
        if (now.pieceId) held.add(now.pieceId);
      } else {
        await base.delete('outbox', now.seq!);
        news.sent(now, answer.piece);
      }
      news.changed();
    }
  }

  async function run(): Promise<void> {
    if (running) {
      again = true;
      return;
    }
    running = true;
    clearTimeout(timer);
    try {
      do {
        again = false;
        // Locks need a secure page; without them two tabs may send the same write, which is done once.
        await (navigator.locks ? navigator.locks.request('jiten-outbox', once) : once());
      } while (again);
    } finally {
      running = false;
    }
    news.changed();
    if (misses) timer = setTimeout(() => void run(), PAUSES[Math.min(misses, PAUSES.length) - 1]);
  }

  const back = () => void run();
  window.addEventListener('online', back);
  return {
    kick: back,
    line: (): Line => (navigator.onLine ? line : 'down'),
    stop() {
      clearTimeout(timer);
      window.removeEventListener('online', back);
    },
  };
}

type Answer = { readonly piece: OpeningPiece | null } | Trouble | 'down' | 'signed out';

async function send({ id, firingId, write }: Waiting): Promise<Answer> {
  try {
    const response =
      write.kind === 'photo'
        ? await fetch('/api/v1/photos', {
            method: 'POST',
            body: photoForm(id, firingId, write),
            signal: AbortSignal.timeout(4 * PATIENCE),
          })
        : await fetch('/api/v1/opening', {
            method: 'POST',
            body: JSON.stringify({ id, firingId, write }),
            headers: { 'Content-Type': 'application/json' },
            signal: AbortSignal.timeout(PATIENCE),
          });
    if (response.status === 401) return 'signed out';
    if (!response.ok && response.status !== 422) return 'down';
    const outcome = (await response.json()) as Outcome<OpeningPiece | null>;
    if (!outcome.ok)
      return { faults: outcome.faults, theirs: (outcome.theirs as Theirs | undefined) ?? null };
    return { piece: write.kind === 'photo' ? null : outcome.value };
  } catch {
    return 'down';
  }
}

function photoForm(id: string, firingId: string, write: Extract<Waiting['write'], { kind: 'photo' }>) {
  const form = new FormData();
  form.set('id', id);
  form.set('pieceId', write.pieceId);
  form.set('firingId', firingId);
  form.set('settings', JSON.stringify(write.settings));
  form.set('file', new File([write.blob], 'photo', { type: write.blob.type }));
  return form;
}
