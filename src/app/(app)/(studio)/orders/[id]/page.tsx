import { notFound } from 'next/navigation';
import { requireMember } from '@/auth';
import { dayOf } from '@/core/time';
import { OrderView } from '@/features/orders/ui/OrderView';
import { hasRole } from '@/records/people';
import { listPieces, orderById } from '@/records/pieces';
import { db, NotFound } from '@/records/platform';

export const metadata = { title: 'Order' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const member = await requireMember('/orders/[id]');
  const { id } = await params;
  const order = await orderById(db(), id).catch((error: unknown) => {
    if (error instanceof NotFound) notFound();
    throw error;
  });
  const { rows, total } = await listPieces(db(), { orderId: id, order: 'asc', limit: 200 });
  return (
    <OrderView
      {...{ order, total }}
      pieces={rows}
      mayChange={hasRole(member.role, 'teacher')}
      today={dayOf(new Date())}
    />
  );
}
