import { useEffect, useMemo, useState } from 'react';
import { unpacked } from '@/core/rows';
import { cellsOf, type WallCell } from '../model/cells';
import { switchedCells, WALL_SWITCHES, type WallSwitch } from '../model/wallSwitch';

export type WallSwitchState = ReturnType<typeof useWallSwitch>;

/** The cells in view: the wall's own, or what they were flicked to; another wall's are fetched when first asked for. */
export function useWallSwitch(own: ReadonlyMap<string, WallCell>, ownGrounds: readonly string[]) {
  const [to, setTo] = useState<string>('order');
  const [on, setOn] = useState(false);
  const [other, setOther] = useState<{ search: string; cells: ReadonlyMap<string, WallCell> } | null>(null);
  const isSimple = (WALL_SWITCHES as readonly string[]).includes(to);
  useEffect(() => {
    if (isSimple || !on || other?.search === to) return;
    const stop = new AbortController();
    fetch(`/api/v1/wall?${to}`, { signal: stop.signal })
      .then((response) => response.json())
      .then((found: { entries: string; choice: { grounds: string[] } }) =>
        setOther({
          search: to,
          cells: cellsOf(unpacked(found.entries), groundsLike(ownGrounds, found.choice.grounds)),
        }),
      )
      .catch(() => undefined);
    return () => stop.abort();
  }, [to, on, isSimple, other?.search, ownGrounds]);
  const cells = useMemo(() => {
    if (!on) return own;
    if (isSimple) return switchedCells(own, to as WallSwitch);
    return other?.search === to ? other.cells : own;
  }, [on, own, isSimple, to, other]);
  return { cells, to, setTo, on, turn: () => setOn((before) => !before) };
}

/** The same grounds in the same halves where the other wall has them. */
function groundsLike(own: readonly string[], others: readonly string[]): readonly string[] {
  return own.every((id) => others.includes(id)) ? own : others;
}
