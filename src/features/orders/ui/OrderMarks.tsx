import type { Order } from '@/records/pieces';
import css from './orders.module.css';

/** More are not told apart one by one. */
const MOST = 24;

/** One mark a piece that is wanted: good ones filled, those on their way half, the rest empty. */
export function OrderMarks({ count, stand }: Pick<Order, 'count' | 'stand'>) {
  if (count > MOST) return null;
  const { good, coming, undecided } = stand;
  const kindOf = (i: number) => (i < good ? 'good' : i < good + coming + undecided ? 'coming' : 'open');
  return (
    <span className={css.marks} aria-hidden>
      {Array.from({ length: count }, (_, i) => (
        <i key={i} data-kind={kindOf(i)} />
      ))}
    </span>
  );
}
