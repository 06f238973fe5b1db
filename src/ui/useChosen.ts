'use client';
import { useState } from 'react';

/**
 * Which of several things are chosen: one by one, and with Shift all between the last one and the next.
 *
 * @param order ids in the order in which they stand
 */
export function useChosen(order: readonly string[]) {
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [last, setLast] = useState<string | null>(null);
  const turn = (ids: readonly string[], on: boolean) => {
    const next = new Set(chosen);
    for (const id of ids)
      if (on) next.add(id);
      else next.delete(id);
    setChosen(next);
  };
  const turnTo = (id: string, on: boolean, isRange: boolean) => {
    const ends = [order.indexOf(last ?? id), order.indexOf(id)].sort((a, b) => a - b);
    turn(isRange ? order.slice(Math.max(0, ends[0]!), ends[1]! + 1) : [id], on);
    setLast(id);
  };
  return { chosen, turn, turnTo, clear: () => setChosen(new Set()) };
}
