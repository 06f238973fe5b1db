/** One answer of the look-up field. */
export interface Answer {
  readonly kind: 'piece' | 'entry' | 'glaze' | 'clay' | 'firing' | 'defect' | 'order' | 'round' | 'form';
  readonly text: string;
  readonly detail: string;
  readonly href: string;
}

/** What a word is within, for LIKE. */
export const within = (word: string) => `%${word.replace(/[\\%_]/g, '\\$&')}%`;

/** The form and the clay of a piece; of one that nobody has described, only that. */
export const looksOf = ({
  described,
  form,
  name,
}: {
  readonly described: unknown;
  readonly form: string;
  readonly name: string;
}): string[] => (described ? [form, name] : ['not described yet']);
