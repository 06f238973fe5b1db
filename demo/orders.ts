import { addReminder } from '@/records/reminders';
import { changeMany, saveExpectation, saveOrder } from '@/records/pieces';
import { newId, type Db } from '@/records/platform';
import { ago, dayAgo, type Studio } from './studio';

/** What is ordered: cups for the canteen, most of them out of the kiln, and tiles for the booking hall. */
const ORDERS = [
  {
    ...{ name: 'Canteen cups', wanted: 'cups, glazed inside and out', count: 8, price: '', forms: ['cup'] },
    ...{ dueInDays: 21, pieces: 7, note: 'Rims rounded.' },
  },
  {
    ...{ name: 'Booking hall', wanted: 'bowls for the ticket window', count: 4, price: '', forms: ['bowl'] },
    ...{ dueInDays: 40, pieces: 2, note: '' },
  },
] as const;

/** Orders with pieces of the story, notes for the next time, and what a maker expects of pieces that wait. */
export async function takeOrders(base: Db, studio: Studio): Promise<void> {
  const [technician, teacher] = studio.members as [string, string];
  for (const { forms, dueInDays, pieces, ...order } of ORDERS) {
    const id = newId();
    await saveOrder(base, technician, { id, ...order, dueOn: dayAgo(studio.now, -dueInDays) }, null);
    const ids = await base('piece')
      .whereIn('form', forms)
      .whereNull('order_id')
      .orderBy('number')
      .limit(pieces);
    await changeMany(
      base,
      technician,
      ids.map((piece) => ({ id: piece.id, order: { from: null, to: id } })),
    );
  }
  const notes = [
    {
      about: 'glaze',
      aboutId: studio.glazes.get('Sleeper')!,
      words: 'Sieve before dipping: lumps at the bottom.',
    },
    {
      about: 'kiln',
      aboutId: studio.kilns.get('two')!,
      words: 'Second cone pack on the top shelf: it ran hot there.',
    },
  ] as const;
  for (const note of notes) await addReminder(base, teacher, { id: newId(), ...note }, ago(studio, 6));
  const waiting = await base('piece').where({ stage: 'glazed' }).orderBy('number').limit(2).select('id');
  for (const [i, { id: pieceId }] of waiting.entries())
    await saveExpectation(base, technician, { id: newId(), pieceId, words: i ? 'runs' : 'comes out well' });
}
