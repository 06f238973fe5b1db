import { ulid } from 'ulid';
import type { Outcome } from '@/auth';
import type { NumberBlock } from '@/records/platform';
import { ANYBODY, keepOnDevice, readFromDevice } from '@/ui/deviceStorage';
import { deviceStore, numbersLeft } from './deviceStore';

/** A device with fewer numbers than this reserves more. */
const FEW = 5;

/** Reserves piece numbers while there is a network, so that pieces that are not on the list can be numbered without one. */
export async function reserveIfFew(): Promise<void> {
  if ((await numbersLeft()) >= FEW) return;
  try {
    const slot = { owner: ANYBODY, key: 'jiten.device', version: 1 };
    const device = readFromDevice<string>(slot) ?? ulid();
    keepOnDevice(slot, device);
    const response = await fetch('/api/v1/numbers', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ id: ulid(), device }),
    });
    const outcome = (await response.json()) as Outcome<NumberBlock>;
    if (outcome.ok) await (await deviceStore()).put('block', { ...outcome.value, used: 0 });
  } catch {
    // Tried again at the next opening or unlisted piece.
  }
}

/** Gives the numbers back that this device holds and did not use: the opening they were for is over. */
export async function giveNumbersBack(): Promise<void> {
  const base = await deviceStore();
  for (const { id, first, last, used } of await base.getAll('block')) {
    // Out of this device first: a number that is on its way back is given to nobody here.
    await base.delete('block', id);
    if (first + used > last) continue;
    await fetch('/api/v1/numbers', {
      method: 'DELETE',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ id, from: first + used }),
      keepalive: true,
    }).catch(() => undefined);
  }
}
