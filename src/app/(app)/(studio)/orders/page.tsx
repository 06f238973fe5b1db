import { requireMember } from '@/auth';
import { dayOf } from '@/core/time';
import { OrdersView } from '@/features/orders/ui/OrdersView';
import { hasRole } from '@/records/people';
import { listOrders } from '@/records/pieces';
import { db } from '@/records/platform';

export const metadata = { title: 'Orders' };

export default async function Page() {
  const member = await requireMember('/orders');
  const orders = await listOrders(db());
  return <OrdersView orders={orders} mayChange={hasRole(member.role, 'teacher')} today={dayOf(new Date())} />;
}
