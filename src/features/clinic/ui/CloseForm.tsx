'use client';
import { causeOf, LINKS, type CauseId } from '@/core/clinic';
import type { CaseFields, ClinicCase } from '@/records/clinic';
import { ConflictNotice, Form, SelectInput, TextInput, useSavedForm } from '@/ui/kit';
import type { OverTheWire } from '@/ui/useMutation';
import { saveCase } from '../actions';
import { closedSchema } from '../schema';
import css from './clinic.module.css';

interface Values {
  readonly cause: CauseId;
  readonly helped: string;
}

/** How a case ends: the cause that it was, and what really helped. */
export function CloseForm({ found, first }: { found: ClinicCase; first: CauseId }) {
  const form = useSavedForm<Values, Values, null, CaseFields>({
    schema: closedSchema,
    values: { cause: found.cause ?? first, helped: found.helped ?? '' },
    draft: { key: `jiten.case.${found.id}.closed` },
    under: 'closed',
    version: found.version,
    save: (closed, version) => saveCase({ id: found.id, version: version ?? found.version, closed }),
  });
  const { control, theirs } = form;
  const conflict = theirs && (
    <ConflictNotice
      rows={differing(theirs, form.form.getValues())}
      onKeepMine={() => void form.submit(theirs.version)}
    />
  );
  return (
    <Form of={form} label="Close the case" className={css.fields} button="Close the case" notice={conflict}>
      <SelectInput
        control={control}
        name="cause"
        label="Cause found"
        options={LINKS[found.defect].map((id) => [id, causeOf(id).name] as const)}
      />
      <TextInput control={control} name="helped" label="What helped" />
    </Form>
  );
}

/** What differs between this page and what somebody else kept meanwhile. */
function differing(theirs: OverTheWire<CaseFields>, mine: Values) {
  const cause = theirs.closedAt !== null && theirs.cause ? causeOf(theirs.cause).name : 'open';
  return [
    { name: 'Cause', mine: causeOf(mine.cause).name, theirs: cause },
    { name: 'What helped', mine: mine.helped || 'nothing yet', theirs: theirs.helped ?? 'nothing yet' },
  ].filter((row) => row.mine !== row.theirs);
}
