'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { counted } from '@/core/units';
import type { OpeningPiece } from '@/records/openings';
import { useUndo } from '@/ui/Undo';
import { sameAs, type Answers, type PieceDraft } from '../model/draft';
import type { useOpening } from './useOpening';

interface Props {
  readonly api: ReturnType<typeof useOpening>;
  readonly stateOf: (piece: OpeningPiece) => OpeningPiece['state'];
  readonly onGo: (pieceId: string) => void;
}

/**
 * Finishes a piece and goes on to the next that is not read; offers the same for all that are made like it.
 *
 * @returns what finishes a piece, and the line that offers the last one back and its like
 */
export function useFinish({ api, stateOf, onGo }: Props) {
  const { pieces } = api.opening;
  const { offer, line } = useUndo();
  const [last, setLast] = useState<{ readonly piece: OpeningPiece; readonly said: Answers } | null>(null);
  const goOn = (after: OpeningPiece, done: readonly OpeningPiece[]) => {
    const isRead = (one: OpeningPiece) => done.some(({ id }) => id === one.id) || stateOf(one) !== 'loaded';
    const index = pieces.findIndex(({ id }) => id === after.id);
    onGo(pieces[nextUnread(pieces, index, isRead)]!.id);
  };
  const finish = async (of: OpeningPiece, change: (answers: Answers) => Answers) => {
    const draft = await api.finish(of, change);
    const words = draft.answers.state === 'read' ? (draft.answers.fate ?? 'read') : draft.answers.state;
    offer(`${of.label}: ${words}`, () => {
      onGo(of.id);
      setLast(null);
      void api.unfinish(of, draft);
    });
    setLast({ piece: of, said: draft.answers });
    goOn(of, [of]);
  };
  const alike =
    last?.said.state === 'read'
      ? pieces.filter((one) => one.twinKey === last.piece.twinKey && stateOf(one) === 'loaded')
      : [];
  /** All that are made like the last one, and were not read yet, came out as it did. */
  const finishAlike = async () => {
    if (!last) return;
    setLast(null);
    const done: (readonly [OpeningPiece, PieceDraft])[] = [];
    for (const one of alike) done.push([one, await api.finish(one, sameAs(last.piece, last.said, one))]);
    offer(`${counted(done.length, 'piece')} as ${last.piece.label}`, () => {
      onGo(done[0]![0].id);
      void (async () => {
        for (const [one, draft] of done) await api.unfinish(one, draft);
      })();
    });
    goOn(last.piece, alike);
  };
  const undone = (
    <>
      {line}
      {last && alike.length > 0 && (
        <Button sx={{ minHeight: 48 }} onClick={() => void finishAlike()}>
          {alike.length === 1 ? 'The other one' : `The ${alike.length} others`} like {last.piece.label}: the
          same
        </Button>
      )}
    </>
  );
  return { finish, undone };
}

/** The next piece that is still to be read, after this one or from the beginning; else this one. */
function nextUnread(
  pieces: readonly OpeningPiece[],
  from: number,
  isRead: (piece: OpeningPiece) => boolean,
): number {
  const after = pieces.findIndex((piece, i) => i > from && !isRead(piece));
  const any = after === -1 ? pieces.findIndex((piece) => !isRead(piece)) : after;
  return any === -1 ? from : any;
}
