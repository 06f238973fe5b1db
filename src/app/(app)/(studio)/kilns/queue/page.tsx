import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { hasRole } from '@/records/people';
import { queueOf } from '@/records/firings';
import { dayOf } from '@/core/time';
import { OrderLines } from '@/features/orders';
import { listOrders } from '@/records/pieces';
import { QueueView } from '@/features/kilns/ui/QueueView';

export const metadata = { title: 'Queue and calendar' };

export default async function Page() {
  const member = await requireMember('/kilns/queue');
  const now = new Date();
  const [queue, orders] = await Promise.all([queueOf(db(), now), listOrders(db(), { isOpen: true })]);
  return (
    <QueueView
      {...queue}
      now={now}
      mayPlan={hasRole(member.role, 'teacher')}
      orders={<OrderLines orders={orders} today={dayOf(now)} />}
    />
  );
}
