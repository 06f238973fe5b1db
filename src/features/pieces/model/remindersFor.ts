import type { Reminder } from '@/records/reminders';

interface Used {
  readonly bodyId: string;
  readonly form: string;
  readonly formId?: string | null;
  readonly coats: readonly { readonly glazeId: string }[];
}

/** The notes for the next time that are about something used on pieces: their clay, their form, a glaze. */
export function remindersFor(reminders: readonly Reminder[], pieces: readonly Used[]): Reminder[] {
  const used = new Set(
    pieces.flatMap(({ bodyId, form, formId, coats }) => [
      ...[bodyId, formId ?? form],
      ...coats.map(({ glazeId }) => glazeId),
    ]),
  );
  return reminders.filter(({ aboutId }) => used.has(aboutId));
}
