/** One answer of the look-up field. */
export interface Answer {
  readonly kind: 'piece' | 'entry' | 'glaze' | 'clay' | 'firing' | 'defect' | 'order' | 'round' | 'form';
  readonly text: string;
  readonly detail: string;
  readonly href: string;
}

/** What a word is within, for LIKE. */
export const within = (word: string) => `%${word.replace(/[\\%_]/g, '\\$&')}%`;
