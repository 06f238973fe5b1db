import type { Reminder } from '@/records/reminders';

interface Used {
  readonly bodyId: string;
  readonly form: string;
  readonly formId?: string | null;
  readonly coats: readonly { readonly glazeId: string; readonly batchId: string | null }[];
}

/** The notes for the next time that are about something used on pieces: their clay, their form, a glaze, the bucket it came from. */
export function remindersFor(reminders: readonly Reminder[], pieces: readonly Used[]): Reminder[] {
  const used = new Set(
    pieces.flatMap(({ bodyId, form, formId, coats }) => [
      ...[bodyId, formId ?? form],
      ...coats.flatMap(({ glazeId, batchId }) => (batchId ? [glazeId, batchId] : [glazeId])),
    ]),
  );
  return reminders.filter(({ aboutId }) => used.has(aboutId));
}
