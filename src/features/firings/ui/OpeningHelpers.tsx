'use client';
import type { OpeningStudent } from '@/records/people';
import { FormErrors, SeveralField } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { assignOpening } from '../actions';

/** Students who record the whole opening; others record their own pieces. */
export function OpeningHelpers({
  firingId,
  students,
}: {
  firingId: string;
  students: readonly OpeningStudent[];
}) {
  const { run, errors } = useMutation();
  const idOf = new Map(students.map(({ id, name }) => [name, id]));
  return (
    <>
      <h3>Opening</h3>
      <SeveralField
        label="Students who record all of it"
        options={[...idOf.keys()]}
        value={students.filter(({ isHelper }) => isHelper).map(({ name }) => name)}
        onChange={(names) =>
          void run(() => assignOpening({ firingId, memberIds: names.map((name) => idOf.get(name)!) }))
        }
      />
      <FormErrors errors={errors} />
    </>
  );
}
