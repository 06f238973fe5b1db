'use client';
import { reportStorageFailure } from '@/ui/deviceStorage';
import { useCallback, useEffect, useRef, useState } from 'react';
import { ulid } from 'ulid';
import type { Opening, OpeningPiece } from '@/records/openings';
import type { PieceDraft } from '../model/draft';
import { draftsOf, deviceStore, type OutboxItem } from '../model/outbox/deviceStore';
import { giveNumbersBack, reserveIfFew } from '../model/outbox/reserveNumbers';
import { startSender, type Connection } from '../model/outbox/sender';
import { useOpeningActs } from './useOpeningActs';

/** How often other devices' readings are asked for, ms. */
const EVERY = 15_000;
/** The state of an opening is stored when nothing has changed for so long, ms. */
const STORE_AFTER = 1500;

/**
 * An opening as this device knows it: what the server answered last, what was tapped since, and what is still on
 * its way. Every tap is kept on the device before anything else happens.
 *
 * @param onJoined is told of a piece that was found in the kiln and has come
 */
export function useOpening(first: Opening, memberId: string, onJoined: (pieceId: string) => void) {
  const firingId = first.firing.id;
  const [opening, setOpening] = useState(first);
  const { drafts, draftAt, putDraft, restore } = useDrafts(firingId);
  const [waiting, setWaiting] = useState<readonly OutboxItem[]>([]);
  const [arriving, setArriving] = useState(0);
  const [connection, setConnection] = useState<Connection>('up');
  const sender = useRef<ReturnType<typeof startSender> | null>(null);
  /** Counts what the server has answered to writes; a look that began before is older than they are. */
  const answers = useRef(0);

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
      restore(found);
      if (known) setOpening((now) => newerOf(now, known.opening));
      sender.current = startSender(memberId, {
        sent: (write, piece) => {
          if (piece) takeOver([piece]);
          if (piece && write.write.kind === 'join') onJoined(piece.id);
          if (write.write.kind === 'photo' || write.write.kind === 'repair') void refresh();
          const draft = write.pieceId ? draftAt(write.pieceId) : undefined;
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
  }, [firingId, memberId, draftAt, putDraft, restore, readOutbox, refresh, takeOver, onJoined]);

  const enqueue = useCallback(
    async (write: OutboxItem['write'], pieceId: string | null, id = ulid()) => {
      setArriving((count) => count + 1);
      try {
        const base = await deviceStore();
        await base.add('outbox', { id, memberId, firingId, pieceId, write, rejection: null });
        await readOutbox();
      } finally {
        setArriving((count) => count - 1);
      }
      sender.current?.kick();
      return id;
    },
    [firingId, memberId, readOutbox],
  );

  const resend = useCallback(async () => {
    await readOutbox();
    sender.current?.kick();
  }, [readOutbox]);
  useGivingBack(
    waiting.length === 0 && arriving === 0 && opening.pieces.every(({ state }) => state !== 'loaded'),
  );
  const acts = useOpeningActs({ firingId, draftAt, putDraft, enqueue, resend, refresh });

  return {
    ...acts,
    opening,
    drafts,
    waiting,
    arriving,
    connection,
    enqueue,
    refresh,
  };
}

/** Gives the numbers back that were kept for pieces not on the list, when an opening that is over is left. */
function useGivingBack(isOver: boolean) {
  const over = useRef(isOver);
  useEffect(() => {
    over.current = isOver;
  }, [isOver]);
  useEffect(
    () => () => {
      if (over.current) void giveNumbersBack().catch(reportStorageFailure);
    },
    [],
  );
}

/** The taps of each piece that are not on the server yet, kept on the device at every change. */
function useDrafts(firingId: string) {
  const [drafts, setDrafts] = useState<Readonly<Record<string, PieceDraft>>>({});
  // What was tapped last, before the page is drawn again.
  const latest = useRef(drafts);
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
  const draftAt = useCallback((pieceId: string) => latest.current[pieceId], []);
  /** Takes in what the device kept; what was tapped since goes before it. */
  const restore = useCallback((found: Readonly<Record<string, PieceDraft>>) => {
    latest.current = { ...found, ...latest.current };
    setDrafts(latest.current);
  }, []);
  return { drafts, draftAt, putDraft, restore };
}

/** Of two states of an opening the one in which more was read; the page's own when they are level. */
function newerOf(page: Opening, device: Opening): Opening {
  const read = ({ pieces }: Opening) => pieces.filter((piece) => piece.state !== 'loaded').length;
  return read(device) > read(page) ? device : page;
}
