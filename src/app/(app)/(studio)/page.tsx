import { requireMember } from '@/auth';
import { listRequests } from '@/records/dictionary';
import { db } from '@/records/platform';
import { hasRole } from '@/records/people';
import { firstStepsOf, todayIn } from '@/records/rounds';
import { watchNow } from '@/records/clinic';
import { DefectsGoingUp } from '@/features/today/ui/DefectsGoingUp';
import { dayOf } from '@/core/time';
import { OrderLines } from '@/features/orders';
import { listOrders } from '@/records/pieces';
import { Today } from '@/features/today/ui/Today';

/** Comes when it is calculated; the page does not wait for it. */
async function Rises() {
  return <DefectsGoingUp series={await watchNow(db())} />;
}

export const metadata = { title: 'Today' };

export default async function Page() {
  const member = await requireMember('/');
  const now = new Date();
  const [data, requests, orders, steps] = await Promise.all([
    todayIn(db(), now, hasRole(member.role, 'teacher') ? null : member.id),
    listRequests(db(), hasRole(member.role, 'teacher') ? null : member.id),
    hasRole(member.role, 'student') ? listOrders(db(), { isOpen: true }) : [],
    hasRole(member.role, 'technician') && !member.isByPin ? firstStepsOf(db()) : null,
  ]);
  return (
    <Today
      data={data}
      steps={steps}
      rises={<Rises />}
      requests={requests}
      orders={<OrderLines orders={orders} today={dayOf(now)} most={5} />}
      now={now}
      member={member}
    />
  );
}
