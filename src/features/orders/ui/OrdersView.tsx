'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState } from 'react';
import { shortDay } from '@/core/time';
import type { Order } from '@/records/pieces';
import { Acts, PageHeader, TwoColumns } from '@/ui/kit';
import { orderWords } from '@/ui/orderWords';
import { OrderCard } from './OrderCard';
import { OrderMarks } from './OrderMarks';
import css from './orders.module.css';

interface Props {
  readonly orders: readonly Order[];
  readonly mayChange: boolean;
  /** "YYYY-MM-DD". */
  readonly today: string;
}

/** What was ordered, and how far each order is: the first to be due stands first. */
export function OrdersView({ orders, mayChange, today }: Props) {
  const [isAdding, setIsAdding] = useState(false);
  const open = orders.filter(({ endedAt }) => endedAt === null);
  const ended = orders.filter(({ endedAt }) => endedAt !== null);
  return (
    <>
      <PageHeader first="Orders">
        <h1>Orders</h1>
        <span className="quiet">
          <span className="figures">{open.length}</span> open
        </span>
        {mayChange && (
          <Acts>
            <Button variant={isAdding ? 'outlined' : 'contained'} onClick={() => setIsAdding(!isAdding)}>
              {isAdding ? 'Close' : 'Add an order'}
            </Button>
          </Acts>
        )}
      </PageHeader>
      <TwoColumns
        at="right"
        aside={isAdding && <OrderCard order={null} onSaved={() => setIsAdding(false)} />}
      >
        {open.length === 0 && (
          <p>
            {mayChange
              ? 'No open order. Write down how many are wanted; its pieces are counted as they come out of the kiln.'
              : 'No open order. A teacher writes them down.'}
          </p>
        )}
        <OrderList {...{ orders: open, today }} />
        {ended.length > 0 && (
          <details className={css.ended}>
            <summary>Ended ({ended.length})</summary>
            <OrderList {...{ orders: ended, today }} />
          </details>
        )}
      </TwoColumns>
    </>
  );
}

function OrderList({ orders, today }: Pick<Props, 'orders' | 'today'>) {
  return (
    <ul>
      {orders.map((order) => (
        <li key={order.id} className={css.order}>
          <span>
            <Link href={`/orders/${order.id}`} className={css.name}>
              {order.name}
            </Link>
            <span className="quiet">{order.wanted}</span>
          </span>
          <OrderMarks {...order} />
          <span>{orderWords(order)}</span>
          <DueWords {...{ order, today }} />
        </li>
      ))}
    </ul>
  );
}

/** Until when, and whether that is past. */
export function DueWords({ order, today }: { readonly order: Order; readonly today: string }) {
  if (!order.dueOn) return null;
  const isLate = order.endedAt === null && order.dueOn < today && order.stand.good < order.count;
  return (
    <span className={isLate ? 'heat' : 'quiet'}>
      by {shortDay(order.dueOn)}
      {isLate && ', late'}
    </span>
  );
}
