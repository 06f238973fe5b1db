'use client';
import { Form, SelectInput, TextInput, useSavedForm } from '@/ui/kit';
import { useIdempotentId } from '@/ui/useIdempotentId';
import { saveTry } from '../actions';
import { WORKED, WORKED_WORDS, type Worked } from '../model/tries';
import { typedTrySchema } from '../schema';
import css from './clinic.module.css';

interface Values {
  readonly act: string;
  readonly worked: Worked;
  readonly roundId: string | null;
}

interface Props {
  readonly caseId: string;
  readonly rounds: readonly { readonly id: string; readonly name: string }[];
}

/** What was tried in a case, whether it helped, and in which round. */
export function TryForm({ caseId, rounds }: Props) {
  const [idOf, kept] = useIdempotentId();
  const form = useSavedForm<Values, Values, null>({
    schema: typedTrySchema,
    values: { act: '', worked: 'not yet', roundId: null },
    draft: { key: `jiten.case.${caseId}`, version: 2 },
    save: async (typed) => {
      const outcome = await saveTry({ ...typed, caseId, id: idOf(typed) });
      if (outcome.ok) kept(typed);
      return outcome;
    },
    onSaved: () => form.discard(),
  });
  const { control } = form;
  return (
    <Form of={form} label="A try" className={css.fields} button="Save what was tried">
      <TextInput control={control} name="act" label="What was tried" />
      <SelectInput
        control={control}
        name="worked"
        label="Did it help?"
        options={WORKED.map((word) => [word, WORKED_WORDS[word]] as const)}
      />
      <SelectInput
        control={control}
        name="roundId"
        label="In which round"
        options={[['', 'none'], ...rounds.map(({ id, name }) => [id, name] as const)]}
      />
    </Form>
  );
}
