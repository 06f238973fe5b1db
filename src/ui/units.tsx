'use client';
import { createContext, use, useMemo, type ReactNode } from 'react';
import { METRIC, sayMessage, sayQuantity, type Message, type Quantity, type Units } from '@/core/units';
import { usePersistedState } from './usePersistedState';

const Context = createContext<{
  readonly units: Units;
  readonly choose: (change: Partial<Units>) => void;
}>({ units: METRIC, choose: () => {} });

/** Keeps the member's units on this device and tells them to the components within. */
export function UnitsProvider({ children }: { children: ReactNode }) {
  const [units, setUnits] = usePersistedState('jiten.units', METRIC);
  const value = useMemo(
    () => ({ units, choose: (change: Partial<Units>) => setUnits((before) => ({ ...before, ...change })) }),
    [units, setUnits],
  );
  return <Context value={value}>{children}</Context>;
}

/** The units that the reader has chosen. */
export function useUnits(): Units {
  return use(Context).units;
}

/** Changes some of the reader's units. */
export function useChooseUnits(): (change: Partial<Units>) => void {
  return use(Context).choose;
}

/** A quantity in the reader's units. */
export function QuantityText({ of }: { of: Quantity }) {
  return <span className="figures">{sayQuantity(of, useUnits())}</span>;
}

/** A sentence of the core in the reader's units. */
export function Said({ of }: { of: Message }) {
  return <>{sayMessage(of, useUnits())}</>;
}
