'use client';
import { causeOf, closedCauseWords, LINKS, type CauseId, type ClosedCause } from '@/core/clinic';
import type { CaseFields, ClinicCase } from '@/records/clinic';
import { ConflictNotice, Form, SelectInput, TextInput, useSavedForm } from '@/ui/kit';
import type { OverTheWire } from '@/ui/useMutation';
import { saveCase } from '../actions';
import { closedSchema } from '../schema';
import { useWatch } from 'react-hook-form';
import css from './clinic.module.css';

interface Values {
  readonly cause: ClosedCause;
  readonly causeWords: string;
  readonly helped: string;
}

type Closed = Omit<Values, 'causeWords'> & { readonly causeWords: string | null };

/** Causes that a case of a defect may be closed with: those it is known for, how it was put on, and any other. */
function causesOf({ defect }: ClinicCase) {
  const known = LINKS[defect].map((id) => [id as string, causeOf(id).name] as const);
  const application = 'application-uneven' satisfies CauseId;
  return [
    ...known,
    ...(LINKS[defect].includes(application) ? [] : [[application, 'how it was put on'] as const]),
    ['other', 'another cause'] as const,
  ];
}

/** How a case ends: the cause that it was, and what really helped. */
export function CloseForm({ found, first }: { found: ClinicCase; first: CauseId }) {
  const form = useSavedForm<Values, Closed, null, CaseFields>({
    schema: closedSchema,
    values: {
      cause: found.cause ?? first,
      causeWords: found.causeWords ?? '',
      helped: found.helped ?? '',
    },
    draft: { key: `jiten.case.${found.id}.closed` },
    under: 'closed',
    version: found.version,
    save: (closed, version) => saveCase({ id: found.id, version: version ?? found.version, closed }),
  });
  const { control, theirs } = form;
  const cause = useWatch({ control, name: 'cause' });
  const conflict = theirs && (
    <ConflictNotice
      rows={differing(theirs, form.form.getValues())}
      onKeepMine={() => void form.submit(theirs.version)}
    />
  );
  return (
    <Form of={form} label="Close the case" className={css.fields} button="Close the case" notice={conflict}>
      <SelectInput control={control} name="cause" label="Cause found" options={causesOf(found)} />
      {cause === 'other' && <TextInput control={control} name="causeWords" label="Which cause?" />}
      <TextInput control={control} name="helped" label="What helped" />
    </Form>
  );
}

/** What differs between this page and what somebody else kept meanwhile. */
function differing(theirs: OverTheWire<CaseFields>, mine: Values) {
  const cause =
    theirs.closedAt !== null && theirs.cause ? closedCauseWords(theirs.cause, theirs.causeWords) : 'open';
  return [
    { name: 'Cause', mine: closedCauseWords(mine.cause, mine.causeWords), theirs: cause },
    { name: 'What helped', mine: mine.helped || 'nothing yet', theirs: theirs.helped ?? 'nothing yet' },
  ].filter((row) => row.mine !== row.theirs);
}
