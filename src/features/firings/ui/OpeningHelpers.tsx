'use client';
import { FormErrors, SeveralField } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { assignOpening } from '../actions';

/** A student, and whether the opening is assigned to them. */
export interface Student {
  readonly id: string;
  readonly name: string;
  readonly isHelper: boolean;
}

/** Students who record the whole opening; others record their own pieces. */
export function OpeningHelpers({ firingId, students }: { firingId: string; students: readonly Student[] }) {
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
