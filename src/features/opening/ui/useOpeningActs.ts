'use client';
import { useMemo } from 'react';
import { ulid } from 'ulid';
import type { OpeningPiece } from '@/records/openings';
import {
  blankDraft,
  readingToSend,
  rebasedOn,
  reduceDraft,
  type Answers,
  type DraftEvent,
  type PieceDraft,
} from '../model/draft';
import { deviceStore, nextNumber, type OutboxItem } from '../model/outbox/deviceStore';
import { reserveIfFew } from '../model/outbox/reserveNumbers';

/** What the acts of an opening work with. */
export interface OpeningTools {
  readonly firingId: string;
  readonly draftAt: (pieceId: string) => PieceDraft | undefined;
  readonly putDraft: (pieceId: string, draft: PieceDraft | null) => void;
  /** Puts a write behind those that wait; gives its id. */
  readonly enqueue: (write: OutboxItem['write'], pieceId: string | null, id?: string) => Promise<string>;
  /** Looks at what waits again and sends it. */
  readonly resend: () => Promise<void>;
  /** Asks the server how the opening stands. */
  readonly refresh: () => Promise<void>;
}

/** What can be done with a piece at an opening: tap, take back, finish, take up again, decide between two readings. */
export function useOpeningActs({ firingId, draftAt, putDraft, enqueue, resend, refresh }: OpeningTools) {
  return useMemo(
    () => openingActs({ firingId, draftAt, putDraft, enqueue, resend, refresh }),
    [firingId, draftAt, putDraft, enqueue, resend, refresh],
  );
}

function openingActs(tools: OpeningTools) {
  const { firingId } = tools;
  const draftOf = (piece: OpeningPiece): PieceDraft => tools.draftAt(piece.id) ?? blankDraft(piece);
  const reduce = (piece: OpeningPiece, event: DraftEvent): PieceDraft => {
    const draft = reduceDraft(draftOf(piece), event);
    tools.putDraft(piece.id, draft);
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
    await tools.enqueue({ kind: 'piece', reading }, piece.id, sentAs);
    return draft;
  };
  /** Makes a finished piece unfinished again: out of the queue, or off the server when it is there already. */
  const unfinish = async (piece: OpeningPiece, finished: PieceDraft) => {
    const base = await deviceStore();
    const queued = (await base.getAll('outbox')).find((one) => one.id === finished.sentAs);
    tools.putDraft(piece.id, reduceDraft(finished, { type: 'unfinish' }));
    if (queued) await base.delete('outbox', queued.seq!);
    // It may be on its way this moment; what was not there is not undone twice.
    const readingIds = Object.values(finished.answers.zones).map((reading) => reading.id);
    const writeId = finished.sentAs ?? undefined;
    const undone = { pieceId: piece.id, firingId, readingIds, writeId, ...finished.before! };
    await tools.enqueue({ kind: 'undo', undone }, piece.id);
  };
  /** Decides between what was tapped here and what somebody else recorded first. */
  const decide = async (stuck: OutboxItem, mine: boolean) => {
    const base = await deviceStore();
    if (!mine || stuck.write.kind !== 'piece') {
      await base.delete('outbox', stuck.seq!);
      if (stuck.pieceId) tools.putDraft(stuck.pieceId, null);
    } else {
      const reading = rebasedOn(stuck.write.reading, stuck.rejection?.theirs ?? {});
      await base.put('outbox', { ...stuck, write: { kind: 'piece', reading }, rejection: null });
    }
    await tools.resend();
    if (!mine) await tools.refresh();
  };
  const addUnlogged = async (shelf: number, note: string): Promise<string | null> => {
    const next = await nextNumber();
    if (!next) return null;
    const { label, ...number } = next;
    const unlogged = { id: ulid(), firingId, shelf, note, ...number };
    await tools.enqueue({ kind: 'unlogged', piece: unlogged }, unlogged.id);
    void reserveIfFew();
    return label;
  };
  /** Asks for a piece that is known and came out of this kiln; it comes with the server's answer. */
  const join = (shelf: number, number: string) =>
    tools.enqueue({ kind: 'join', join: { firingId, number: number.trim(), shelf } }, null);
  return { answer, undo, finish, unfinish, decide, addUnlogged, join };
}
