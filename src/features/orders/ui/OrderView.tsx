'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState } from 'react';
import { pieceWords } from '@/features/shared/pieceWords';
import type { ListedPiece, Order } from '@/records/pieces';
import { Acts, FormErrors, PageHeader, TwoColumns } from '@/ui/kit';
import { LinkButton } from '@/ui/LinkButton';
import { orderWords } from '@/ui/orderWords';
import { useMutation } from '@/ui/useMutation';
import { endOrder } from '../actions';
import { OrderCard } from './OrderCard';
import { OrderMarks } from './OrderMarks';
import { DueWords } from './OrdersView';
import css from './orders.module.css';

interface Props {
  readonly order: Order;
  readonly pieces: readonly ListedPiece[];
  /** How many belong to it in all. */
  readonly total: number;
  readonly mayChange: boolean;
  /** "YYYY-MM-DD". */
  readonly today: string;
}

/** One order: how it stands, its pieces, and the way to those that are still to be made. */
export function OrderView({ order, pieces, total, mayChange, today }: Props) {
  const { run, isBusy, errors } = useMutation();
  const [isChanging, setIsChanging] = useState(false);
  const isEnded = order.endedAt !== null;
  const { toMake } = order.stand;
  return (
    <>
      <PageHeader first={order.name}>
        <h1>{order.name}</h1>
        {isEnded && <span className="quiet">ended</span>}
        <DueWords {...{ order, today }} />
        <Acts>
          {mayChange && (
            <Button onClick={() => setIsChanging(!isChanging)}>
              {isChanging ? 'Close' : 'Change the order'}
            </Button>
          )}
          {mayChange && (
            <Button
              disabled={isBusy}
              onClick={() => void run(() => endOrder({ id: order.id, isEnded: !isEnded }))}
            >
              {isEnded ? 'Take it up again' : 'End the order'}
            </Button>
          )}
          {!isEnded && toMake > 0 && (
            <LinkButton variant="contained" href={`/pieces/sheet?order=${order.id}`}>
              Write down {toMake === 1 ? 'the one' : `the ${toMake}`} to make
            </LinkButton>
          )}
        </Acts>
      </PageHeader>
      <FormErrors errors={errors} />
      <TwoColumns
        at="right"
        aside={
          isChanging && <OrderCard key={order.version} order={order} onSaved={() => setIsChanging(false)} />
        }
      >
        <p className={css.stand}>
          <b>{orderWords(order)}</b>
          <OrderMarks {...order} />
        </p>
        <p>
          {order.wanted}
          {order.price && `, ${order.price}`}
        </p>
        {order.note && <p className={css.note}>{order.note}</p>}
        {total === 0 && (
          <p>
            No piece belongs to it yet. Write them down on a sheet, or choose pieces in the{' '}
            <Link href="/pieces">list</Link> and give them to this order.
          </p>
        )}
        <ul aria-label="Pieces of the order">
          {pieces.map((piece) => (
            <li key={piece.id} className={css.line}>
              <Link href={`/pieces/${piece.label}`} className="figures">
                {piece.label}
              </Link>
              <span className={css.words}>{pieceWords(piece)}</span>
              <span className="quiet">
                {piece.stage}
                {piece.fate && `, ${piece.fate}`}
              </span>
            </li>
          ))}
        </ul>
        {total > pieces.length && <Link href={`/pieces?for=${order.id}`}>All {total} pieces</Link>}
      </TwoColumns>
    </>
  );
}
