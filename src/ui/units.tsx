'use client';
import {
  createContext,
  use,
  useCallback,
  useMemo,
  useOptimistic,
  useTransition,
  type ReactNode,
} from 'react';
import { METRIC, sayMessage, sayQuantity, type Message, type Quantity, type Units } from '@/core/units';

/** Keeps the units a member chose. */
export type SaveUnits = (chosen: { units: Partial<Units> | null }) => Promise<unknown>;

const Context = createContext<{
  readonly units: Units;
  readonly choose: (change: Partial<Units>) => void;
}>({ units: METRIC, choose: () => {} });

interface Props {
  /** Those the member reads in. */
  readonly units: Units;
  readonly save: SaveUnits;
  readonly children: ReactNode;
}

/** Tells the components within the member's units; a choice shows at once and is kept with the member. */
export function UnitsProvider({ units: kept, save, children }: Props) {
  const [, start] = useTransition();
  const [units, show] = useOptimistic(kept, (before, change: Partial<Units>) => ({ ...before, ...change }));
  const choose = useCallback(
    (change: Partial<Units>) =>
      start(async () => {
        show(change);
        // Without an answer the choice falls back to what is kept.
        await save({ units: change }).catch(() => undefined);
      }),
    [save, show],
  );
  const value = useMemo(() => ({ units, choose }), [units, choose]);
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
