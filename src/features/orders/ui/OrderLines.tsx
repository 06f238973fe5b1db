import Link from 'next/link';
import type { Order } from '@/records/pieces';
import { orderWords } from '@/ui/orderWords';
import { DueWords } from './OrdersView';
import css from './orders.module.css';

interface Props {
  readonly orders: readonly Order[];
  /** "YYYY-MM-DD". */
  readonly today: string;
  /** More than so many are one tap away. */
  readonly most?: number;
}

/** Open orders in short, the first to be due first: what of each is still missing. */
export function OrderLines({ orders, today, most = orders.length }: Props) {
  if (orders.length === 0) return null;
  return (
    <section aria-label="Orders" className={css.lines}>
      <h2>Orders</h2>
      <ul>
        {orders.slice(0, most).map((order) => (
          <li key={order.id} className={css.line}>
            <Link href={`/orders/${order.id}`}>{order.name}</Link>
            <span>{orderWords(order)}</span>
            <DueWords {...{ order, today }} />
          </li>
        ))}
      </ul>
      {orders.length > most && <Link href="/orders">All {orders.length} orders</Link>}
    </section>
  );
}
