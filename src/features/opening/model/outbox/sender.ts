import type { Outcome } from '@/auth';
import type { OpeningPiece } from '@/records/openings';
import { WRITER_HEADER } from '@/features/shared/writer';
import type { OtherReading } from '../draft';
import { deviceStore, type OutboxItem, type Rejection } from './deviceStore';

/** What the sender tells the page. */
export interface SenderEvents {
  /** A write is on the server now, with the piece as it stands there. */
  readonly sent: (item: OutboxItem, piece: OpeningPiece | null) => void;
  /** The queue or the connection changed. */
  readonly changed: () => void;
}

/** How this device stands with the server; 'other member' when somebody else is signed in on it. */
export type Connection = 'up' | 'down' | 'signed out' | 'other member';

/** Waits between tries while the server does not answer, ms. */
const PAUSES = [2000, 4000, 8000, 15_000];

/** A server that has not answered for so long is gone, ms. */
const PATIENCE = 30_000;

/**
 * Sends what waits on this device in the order it was made, one write at a time, in one tab at a time. A
 * write that is refused stays, with the reason, and holds back later ones of the same piece only. While
 * the server does not answer it tries again, and at once when the network comes back.
 *
 * Only writes of `memberId` go, each with the name of who made it: the server refuses them when the session is
 * another member's. After `stop` no further write is sent and nothing is told; one that is on its way is still
 * crossed off when its answer comes.
 */
export function startSender(memberId: string, events: SenderEvents) {
  let connection: Connection = 'up';
  let isStopped = false;
  let isRunning = false;
  let isAskedAgain = false;
  let misses = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function sendAll(): Promise<void> {
    const base = await deviceStore();
    const all = await base.getAll('outbox');
    const held = new Set<string>();
    for (const { seq, memberId: writer } of all) {
      if (isStopped) return;
      if (writer !== memberId) continue;
      // Undone or changed since the list was read?
      const item = await base.get('outbox', seq!);
      if (!item || (item.pieceId && held.has(item.pieceId))) continue;
      const answer = item.rejection ?? (await send(item));
      if (typeof answer === 'string') {
        connection = answer;
        misses++;
        return;
      }
      if (!item.rejection) {
        connection = 'up';
        misses = 0;
      }
      if ('errors' in answer) {
        // Taken back while it was on its way: nothing is left to decide, and nothing to hold back.
        if (!(await base.get('outbox', seq!))) continue;
        if (item.pieceId) held.add(item.pieceId);
        if (item.rejection) continue;
        await base.put('outbox', { ...item, rejection: answer });
      } else {
        await base.delete('outbox', seq!);
        if (!isStopped) events.sent(item, answer.piece);
      }
      if (!isStopped) events.changed();
    }
  }

  async function run(): Promise<void> {
    if (isStopped) return;
    if (isRunning) {
      isAskedAgain = true;
      return;
    }
    isRunning = true;
    clearTimeout(timer);
    try {
      do {
        isAskedAgain = false;
        // Locks need a secure page; without them two tabs may send the same write, which is done once.
        await (navigator.locks ? navigator.locks.request('jiten-outbox', sendAll) : sendAll());
      } while (isAskedAgain && !isStopped);
    } finally {
      isRunning = false;
    }
    if (isStopped) return;
    events.changed();
    if (misses) timer = setTimeout(() => void run(), PAUSES[Math.min(misses, PAUSES.length) - 1]);
  }

  const runNow = () => void run();
  window.addEventListener('online', runNow);
  return {
    kick: runNow,
    connection: (): Connection => (navigator.onLine ? connection : 'down'),
    stop() {
      isStopped = true;
      clearTimeout(timer);
      window.removeEventListener('online', runNow);
    },
  };
}

type Answer = { readonly piece: OpeningPiece | null } | Rejection | Exclude<Connection, 'up'>;

async function send({ id, memberId, firingId, write }: OutboxItem): Promise<Answer> {
  const isPhoto = write.kind === 'photo';
  try {
    const response = await fetch(isPhoto ? '/api/v1/photos' : '/api/v1/opening', {
      method: 'POST',
      body: isPhoto ? photoForm(id, firingId, write) : JSON.stringify({ id, firingId, write }),
      headers: { [WRITER_HEADER]: memberId, ...(!isPhoto && { 'Content-Type': 'application/json' }) },
      signal: AbortSignal.timeout(isPhoto ? 4 * PATIENCE : PATIENCE),
    });
    const isAnswer = response.ok || [401, 409, 422].includes(response.status);
    if (!isAnswer) return 'down';
    const outcome = (await response.json()) as Outcome<OpeningPiece | null>;
    if (outcome.ok) return { piece: isPhoto ? null : outcome.value };
    if (outcome.code === 'signed out' || outcome.code === 'other member') return outcome.code;
    return { errors: outcome.errors, theirs: (outcome.theirs as OtherReading | undefined) ?? null };
  } catch {
    return 'down';
  }
}

function photoForm(id: string, firingId: string, write: Extract<OutboxItem['write'], { kind: 'photo' }>) {
  const form = new FormData();
  form.set('id', id);
  form.set('pieceId', write.pieceId);
  form.set('firingId', firingId);
  form.set('settings', JSON.stringify(write.settings));
  form.set('file', new File([write.blob], 'photo', { type: write.blob.type }));
  return form;
}
