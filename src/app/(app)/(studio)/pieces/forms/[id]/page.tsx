import { notFound } from 'next/navigation';
import { requireMember } from '@/auth';
import { FORMS } from '@/core/vocabulary';
import { listBodies } from '@/records/materials';
import { NextTime } from '@/features/reminders';
import { hasRole } from '@/records/people';
import { remindersOf } from '@/records/reminders';
import { db } from '@/records/platform';
import { listForms } from '@/records/pieces';
import { FormEditor } from '@/features/pieces/ui/FormEditor';
import { PageHeader } from '@/ui/kit';

export const metadata = { title: 'Form' };

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<{ like?: string }>;
}

export default async function Page({ params, searchParams }: Props) {
  const member = await requireMember('/pieces/forms/[id]');
  const [{ id }, { like }, forms, bodies] = await Promise.all([
    params,
    searchParams,
    listForms(db()),
    listBodies(db()),
  ]);
  const form = forms.find((one) => one.id === id) ?? null;
  if (!form && id !== 'new') notFound();
  const clays = bodies.flatMap(({ id: bodyId, name, shrinkage }) =>
    shrinkage === null ? [] : { id: bodyId, name, shrinkage },
  );
  const about = { about: 'form', aboutId: id } as const;
  const reminders = await remindersOf(db(), form ? [about] : []);
  const kind = FORMS.find((one) => one === like) ?? 'vase';
  return (
    <>
      <PageHeader first={form?.name ?? 'New form'}>
        <h1>{form?.name ?? 'New form'}</h1>
      </PageHeader>
      {form && <NextTime {...{ reminders, about }} mayWrite={hasRole(member.role, 'student')} />}
      <FormEditor key={form ? form.version : kind} form={form} like={kind} clays={clays} />
    </>
  );
}
