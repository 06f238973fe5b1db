import Link from 'next/link';
import type { Order } from '@/records/pieces';
import { orderWords } from '@/ui/orderWords';
import { DueWords } from './OrdersView';
import css from './orders.module.css';

/** More are one tap away. */
const SHOWN = 5;

interface Props {
  readonly orders: readonly Order[];
  /** "YYYY-MM-DD". */
  readonly today: string;
}

/** Open orders in short, the first to be due first: what of each is still missing. */
export function OrderLines({ orders, today }: Props) {
  if (orders.length === 0) return null;
  return (
    <section aria-label="Orders" className={css.lines}>
      <h2>Orders</h2>
      <ul>
        {orders.slice(0, SHOWN).map((order) => (
          <li key={order.id} className={css.line}>
            <Link href={`/orders/${order.id}`}>{order.name}</Link>
            <span>{orderWords(order)}</span>
            <DueWords {...{ order, today }} />
          </li>
        ))}
      </ul>
      {orders.length > SHOWN && <Link href="/orders">All {orders.length} orders</Link>}
    </section>
  );
}
