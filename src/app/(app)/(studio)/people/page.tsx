import { requireMember } from '@/auth';
import { peopleModel } from '@/features/people/server/peopleModel';
import { PeopleView } from '@/features/people/ui/PeopleView';

export const metadata = { title: 'People' };

interface Asked {
  readonly searchParams: Promise<{ card?: string }>;
}

export default async function Page({ searchParams }: Asked) {
  const member = await requireMember('/people');
  const { card } = await searchParams;
  return <PeopleView {...await peopleModel(member)} card={card ?? null} now={new Date()} />;
}
