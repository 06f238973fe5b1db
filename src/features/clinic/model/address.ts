import { writeAnswers, type GivenAnswer } from './answers';

/** A page of the clinic, and the piece or the wider thing it is about. */
export interface At {
  readonly path: string;
  readonly label?: string | null | undefined;
  /** As it stands in an address, such as "firing.ID". */
  readonly about?: string | null | undefined;
}

/** The address of a page with what was told. */
export function addressOf({ path, label, about }: At, told: readonly GivenAnswer[] = []): string {
  const asked = new URLSearchParams();
  if (label) asked.set('piece', label);
  if (about) asked.set('about', about);
  if (told.length) asked.set('told', writeAnswers(told));
  return `${path}${asked.size ? `?${asked}` : ''}`;
}
