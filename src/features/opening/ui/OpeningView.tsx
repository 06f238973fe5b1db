'use client';
import { isCone } from '@/core/vocabulary';
import ArrowBack from '@mui/icons-material/ArrowBack';
import ArrowForward from '@mui/icons-material/ArrowForward';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import { usePageKey } from '@/ui/usePageKey';
import type { Opening, OpeningPiece } from '@/records/openings';
import type { ShelfCone } from '@/records/firings';
import { GuideWords } from '@/ui/frame';
import { LinkButton } from '@/ui/LinkButton';
import { WitnessPack } from '@/features/firings';
import { blankDraft, type PieceDraft } from '../model/draft';
import { useFinish } from './useFinish';
import { useOpening } from './useOpening';
import { OpensOffline } from '@/ui/OpensOffline';
import { OutboxStatus } from './OutboxStatus';
import css from './opening.module.css';
import { PieceReader } from './PieceReader';
import { ShelfStrip } from './ShelfStrip';
import { photoWorker } from '@/ui/photoWorker';
import { RejectionNotice } from './RejectionNotice';

interface Props {
  readonly opening: Opening;
  readonly memberId: string;
  readonly start: string | null;
  readonly phrases: readonly string[];
  readonly shelves: number;
  /** Labels of pieces for which the sample camera has a picture; empty outside the demo. */
  readonly samples: readonly string[];
  readonly cones: { readonly saved: readonly ShelfCone[]; readonly rate: number; readonly mayWrite: boolean };
}

/** The walk through a cooled kiln: witness cones, then one piece at a time, top shelf first. */
export function OpeningView({ memberId, start, phrases, shelves, samples, cones, ...first }: Props) {
  const [at, setAt] = useState<string | null>(start);
  const api = useOpening(first.opening, memberId, setAt);
  const { firing, pieces } = api.opening;
  const [conesDone, setConesDone] = useState(cones.saved.length > 0 || start !== null);
  const stateOf = (piece: OpeningPiece) => stateNow(piece, api.drafts[piece.id]);
  const index = Math.max(
    0,
    pieces.findIndex((piece) => (at ? piece.id === at : stateOf(piece) === 'loaded')),
  );
  const piece = pieces[index];
  const done = pieces.filter((one) => stateOf(one) !== 'loaded').length;
  const go = (to: number) => setAt(pieces[Math.min(pieces.length - 1, Math.max(0, to))]?.id ?? null);
  const { finish, undone } = useFinish({ api, stateOf, onGo: setAt });
  useEffect(() => {
    window.scrollTo(0, 0);
  }, [piece?.id]);
  usePageKey('left', () => go(index - 1));
  usePageKey('right', () => go(index + 1));
  useEffect(() => {
    photoWorker();
  }, []);
  if (!conesDone && done === 0 && firing.state === 'open' && isCone(firing.cone))
    return (
      <div className={css.cones}>
        <Head api={api} />
        <p>Before you lift the first shelf: how far are the witness cones bent?</p>
        <WitnessPack
          firingId={firing.id}
          target={firing.cone}
          shelves={shelves}
          reduction={firing.atmosphere === 'reduction'}
          rate={cones.rate}
          saved={cones.saved}
          mayWrite={cones.mayWrite}
          onDone={() => setConesDone(true)}
        />
        <Button size="large" onClick={() => setConesDone(true)}>
          Skip to the pieces
        </Button>
      </div>
    );
  return (
    <div className={css.walk}>
      <GuideWords first={`${firing.kilnName} ${firing.number}`} {...(piece && { last: piece.label })} />
      <Head api={api}>
        {piece && (
          <span className={css.step}>
            <Button onClick={() => go(index - 1)} disabled={index === 0} aria-label="Piece before">
              <ArrowBack />
            </Button>
            <span className="figures small">
              {index + 1} of {pieces.length}
            </span>
            <Button
              onClick={() => go(index + 1)}
              disabled={index === pieces.length - 1}
              aria-label="Piece after"
            >
              <ArrowForward />
            </Button>
          </span>
        )}
      </Head>
      <ShelfStrip api={api} at={piece?.id ?? null} stateOf={stateOf} onGo={setAt} shelves={shelves} />
      {api.waiting
        .filter(({ rejection: trouble }) => trouble)
        .map((stuck) => (
          <RejectionNotice
            key={stuck.id}
            stuck={stuck}
            piece={pieces.find(({ id }) => id === stuck.pieceId)}
            onDecide={(mine) => void api.decide(stuck, mine)}
          />
        ))}
      {piece && done === pieces.length && (
        <p className={css.allRead}>
          {pieces.length === 1 ? 'The only piece is' : `All ${pieces.length} are`} recorded.{' '}
          <LinkButton href={`/firings/${firing.id}/summary`} variant="contained">
            What came out
          </LinkButton>
        </p>
      )}
      {piece ? (
        <PieceReader
          key={piece.id}
          api={api}
          piece={piece}
          draft={api.drafts[piece.id] ?? blankDraft(piece)}
          state={stateOf(piece)}
          phrases={phrases}
          sample={samples.includes(piece.label)}
          undone={undone}
          onFinish={(change) => void finish(piece, change)}
          onStep={(by) => go(index + by)}
        />
      ) : (
        <p>
          No piece was logged into this firing. A piece that nobody logged can be numbered above, on its
          shelf.
        </p>
      )}
    </div>
  );
}

/** The state of a piece with what this device knows and the server does not yet. */
function stateNow(piece: OpeningPiece, draft: PieceDraft | undefined): OpeningPiece['state'] {
  return draft?.sentAs ? draft.answers.state : piece.state;
}

function Head({ api, children }: { api: ReturnType<typeof useOpening>; children?: React.ReactNode }) {
  const { firing } = api.opening;
  return (
    <div className={css.bar}>
      <Link href={`/firings/${firing.id}`}>
        {firing.kilnName} {firing.number}
      </Link>
      <OutboxStatus waiting={api.waiting} arriving={api.arriving} connection={api.connection} />
      <OpensOffline />
      {children}
    </div>
  );
}
