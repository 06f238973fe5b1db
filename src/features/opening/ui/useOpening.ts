'use client';
import { reportStorageFailure, ANYBODY, readFromDevice, keepOnDevice } from '@/ui/deviceStorage';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { ulid } from 'ulid';
import type { Outcome } from '@/auth';
import type { NumberBlock } from '@/records/platform';
import type { Opening, OpeningPiece } from '@/records/openings';
import {
  rebasedOn,
  blankDraft,
  reduceDraft,
  readingToSend,
  type DraftEvent,
  type PieceDraft,
  type Answers,
} from '../model/draft';
import { draftsOf, deviceStore, nextNumber, numbersLeft, type OutboxItem } from '../model/outbox/deviceStore';
import { startSender, type Connection } from '../model/outbox/sender';

/** How often other devices' readings are asked for, ms. */
const EVERY = 15_000;
/** The state of an opening is stored when nothing has changed for so long, ms. */
const STORE_AFTER = 1500;
/** A device with fewer numbers than this reserves more. */
const FEW = 5;

/**
 * An opening as this device knows it: what the server answered last, what was tapped since, and what is still on
 * its way. Every tap is kept on the device before anything else happens.
 */
export function useOpening(first: Opening, memberId: string) {
  const firingId = first.firing.id;
  const [opening, setOpening] = useState(first);
  const [drafts, setDrafts] = useState<Readonly<Record<string, PieceDraft>>>({});
  const [waiting, setWaiting] = useState<readonly OutboxItem[]>([]);
  const [connection, setConnection] = useState<Connection>('up');
  const sender = useRef<ReturnType<typeof startSender> | null>(null);
  const latest = useRef(drafts);
  /** Counts what the server has answered to writes; a look that began before is older than they are. */
  const answers = useRef(0);

  const putDraft = useCallback(
    (pieceId: string, draft: PieceDraft | null) => {
      const { [pieceId]: _, ...others } = latest.current;
      latest.current = draft ? { ...others, [pieceId]: draft } : others;
      setDrafts(latest.current);
      const key = `${firingId}/${pieceId}`;
      void deviceStore()
        .then(async (base) => {
          if (draft) await base.put('draft', draft, key);
          else await base.delete('draft', key);
        })
        .catch(reportStorageFailure);
    },
    [firingId],
  );
  const readOutbox = useCallback(async () => {
    const all = await (await deviceStore()).getAll('outbox');
    setWaiting(all.filter((one) => one.firingId === firingId));
    setConnection(sender.current?.connection() ?? 'up');
  }, [firingId]);
  const takeOver = useCallback((pieces: readonly OpeningPiece[]) => {
    answers.current++;
    setOpening((before) => {
      const fresh = new Map(pieces.map((piece) => [piece.id, piece]));
      const known = new Set(before.pieces.map(({ id }) => id));
      return {
        ...before,
        pieces: [
          ...before.pieces.map((piece) => fresh.get(piece.id) ?? piece),
          ...pieces.filter((piece) => !known.has(piece.id)),
        ],
      };
    });
  }, []);
  useEffect(() => {
    // A large opening takes long to store: not at every tap.
    const timer = setTimeout(
      () =>
        void deviceStore()
          .then((base) => base.put('opening', { at: Date.now(), opening }, firingId))
          .catch(reportStorageFailure),
      STORE_AFTER,
    );
    return () => clearTimeout(timer);
  }, [firingId, opening]);
  const refresh = useCallback(async () => {
    const began = answers.current;
    try {
      const response = await fetch(`/api/v1/firings/${firingId}/opening`);
      if (!response.ok) return;
      const fresh = (await response.json()) as Opening;
      if (answers.current === began) setOpening(fresh);
    } catch {
      // Without a network the opening goes on with what is known.
    }
  }, [firingId]);

  useEffect(() => {
    let gone = false;
    const begin = async () => {
      const base = await deviceStore();
      const found = await draftsOf(firingId);
      const known = await base.get('opening', firingId);
      if (gone) return;
      latest.current = { ...found, ...latest.current };
      setDrafts(latest.current);
      if (known) setOpening((now) => newerOf(now, known.opening));
      sender.current = startSender(memberId, {
        sent: (write, piece) => {
          if (piece) takeOver([piece]);
          if (write.write.kind === 'photo' || write.write.kind === 'repair') void refresh();
          const draft = write.pieceId ? latest.current[write.pieceId] : undefined;
          if (draft?.sentAs === write.id) putDraft(write.pieceId!, null);
        },
        changed: () => void readOutbox(),
      });
      sender.current.kick();
      await readOutbox();
      await refresh();
      await reserveIfFew();
    };
    void begin().catch(reportStorageFailure);
    const timer = setInterval(() => document.visibilityState === 'visible' && void refresh(), EVERY);
    const line = () => void readOutbox();
    window.addEventListener('offline', line);
    return () => {
      gone = true;
      clearInterval(timer);
      window.removeEventListener('offline', line);
      sender.current?.stop();
    };
  }, [firingId, memberId, putDraft, readOutbox, refresh, takeOver]);

  const enqueue = useCallback(
    async (write: OutboxItem['write'], pieceId: string | null, id = ulid()) => {
      const base = await deviceStore();
      await base.add('outbox', { id, memberId, firingId, pieceId, write, rejection: null });
      await readOutbox();
      sender.current?.kick();
      return id;
    },
    [firingId, memberId, readOutbox],
  );

  const acts = useMemo(() => {
    const draftOf = (piece: OpeningPiece): PieceDraft => latest.current[piece.id] ?? blankDraft(piece);
    const reduce = (piece: OpeningPiece, event: DraftEvent): PieceDraft => {
      const draft = reduceDraft(draftOf(piece), event);
      putDraft(piece.id, draft);
      return draft;
    };
    const answer = (piece: OpeningPiece, change: (answers: Answers) => Answers) =>
      void reduce(piece, { type: 'answer', change });
    const undo = (piece: OpeningPiece) => void reduce(piece, { type: 'undo' });
    const finish = async (piece: OpeningPiece, change: (answers: Answers) => Answers = (same) => same) => {
      const sentAs = ulid();
      reduce(piece, { type: 'answer', change });
      const before = draftOf(piece).before ?? { state: piece.state, fate: piece.fate };
      const draft = reduce(piece, { type: 'finish', sentAs, before });
      const reading = readingToSend(piece, firingId, draft.answers, before);
      await enqueue({ kind: 'piece', reading }, piece.id, sentAs);
      return draft;
    };
    /** Makes a finished piece unfinished again: out of the queue, or off the server when it is there already. */
    const unfinish = async (piece: OpeningPiece, finished: PieceDraft) => {
      const base = await deviceStore();
      const queued = (await base.getAll('outbox')).find((one) => one.id === finished.sentAs);
      putDraft(piece.id, reduceDraft(finished, { type: 'unfinish' }));
      if (queued) await base.delete('outbox', queued.seq!);
      // It may be on its way this moment; what was not there is not undone twice.
      const readingIds = Object.values(finished.answers.zones).map((reading) => reading.id);
      const undone = { pieceId: piece.id, firingId, readingIds, ...finished.before! };
      await enqueue({ kind: 'undo', undone }, piece.id);
    };
    /** Decides between what was tapped here and what somebody else recorded first. */
    const decide = async (stuck: OutboxItem, mine: boolean) => {
      const base = await deviceStore();
      if (!mine || stuck.write.kind !== 'piece') {
        await base.delete('outbox', stuck.seq!);
        if (stuck.pieceId) putDraft(stuck.pieceId, null);
      } else {
        const reading = rebasedOn(stuck.write.reading, stuck.rejection?.theirs ?? {});
        await base.put('outbox', { ...stuck, write: { kind: 'piece', reading }, rejection: null });
      }
      await readOutbox();
      sender.current?.kick();
      if (!mine) await refresh();
    };
    const addUnlogged = async (shelf: number, note: string): Promise<string | null> => {
      const next = await nextNumber();
      if (!next) return null;
      const { label, ...number } = next;
      const unlogged = { id: ulid(), firingId, shelf, note, ...number };
      await enqueue({ kind: 'unlogged', piece: unlogged }, unlogged.id);
      void reserveIfFew();
      return label;
    };
    return { answer, undo, finish, unfinish, decide, addUnlogged };
  }, [enqueue, firingId, putDraft, readOutbox, refresh]);

  return {
    ...acts,
    opening,
    drafts,
    waiting,
    connection,
    enqueue,
    refresh,
  };
}

/** Of two states of an opening the one in which more was read; the page's own when they are level. */
function newerOf(page: Opening, device: Opening): Opening {
  const read = ({ pieces }: Opening) => pieces.filter((piece) => piece.state !== 'loaded').length;
  return read(device) > read(page) ? device : page;
}

/** Reserves piece numbers while there is a network, so that strays can be numbered without one. */
async function reserveIfFew(): Promise<void> {
  if ((await numbersLeft()) >= FEW) return;
  try {
    const slot = { owner: ANYBODY, key: 'jiten.device', version: 1 };
    const device = readFromDevice<string>(slot) ?? ulid();
    keepOnDevice(slot, device);
    const response = await fetch('/api/v1/numbers', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ id: ulid(), device }),
    });
    const outcome = (await response.json()) as Outcome<NumberBlock>;
    if (outcome.ok) await (await deviceStore()).put('block', { ...outcome.value, used: 0 });
  } catch {
    // Tried again at the next opening or stray.
  }
}
