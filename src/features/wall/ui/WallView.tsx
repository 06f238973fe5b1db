'use client';
import { useRouter } from 'next/navigation';
import { useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { unpacked } from '@/core/rows';
import type { NamedWall } from '@/records/dictionary';
import { GuideWords } from '@/ui/frame';
import { LinkButton } from '@/ui/LinkButton';
import { RefreshOnChange } from '@/ui/RefreshOnChange';
import { setAll, useAddress } from '@/ui/useAddress';
import { usePersistedState } from '@/ui/usePersistedState';
import type { Heat } from '@/core/vocabulary';
import { CellPanel } from './CellPanel';
import { cellKey, cellsOf, type WallCell } from '../model/cells';
import { useWallSwitch } from './useWallSwitch';
import { useWalked } from './useWalked';
import { Matrix } from './Matrix';
import { WallTools } from './WallTools';
import css from './wall.module.css';
import type { BlankWall } from '../server/wallOf';
import { fitting, TALL } from '../model/zoom';

interface Props {
  readonly wall: BlankWall;
  readonly walls: readonly NamedWall[];
  /** The cell to begin at, "base.top". */
  readonly start: string | null;
  readonly mayShare: boolean;
}

/** The reference chart: what lies below in rows, what lies over it in columns, each cell from its proofs. */
export function WallView({ wall, walls, start, mayShare }: Props) {
  const { choice, grounds, text } = wall;
  const router = useRouter();
  const { glazes } = wall;
  const own = useMemo(() => cellsOf(unpacked(text), choice.grounds), [text, choice.grounds]);
  const flick = useWallSwitch(own, choice.grounds);
  // Kept by name: the place of a cell changes with the order, and when a glaze joins the wall.
  const [chosen, setChosen] = useState(start);
  const [row, column] = placeOf(chosen, glazes);
  const [zoom, setZoom] = useState(64);
  // Buttons answer at once; the matrix is drawn in slices after that.
  const drawnZoom = useDeferredValue(zoom);
  const [list, setList] = usePersistedState<readonly string[]>('jiten.wall.list', []);
  const picked = useMemo(() => new Set(list), [list]);
  const stand = useRef<HTMLDivElement>(null);
  const [base, top] = [glazes[row], glazes[column]];

  const { change, underWay } = useAddress();
  const walked = useWalked();
  const go = (changes: Readonly<Record<string, string>>) =>
    change((next) => {
      const at = walked.unsaid();
      setAll(next, at ? { at, ...changes } : changes);
    });
  const choose = (r: number, c: number) => {
    const at = cellKey(glazes[r]!.id, glazes[c]!.id);
    setChosen(at);
    if (underWay) go({ at });
    else walked.to(at);
  };
  const open = (cell: WallCell | undefined) => {
    if (!cell?.headwordId) return;
    walked.say();
    router.push(`/entry/${cell.headwordId}`);
  };
  useHotkeys('f', () => flick.turn());
  // A large wall begins whole.
  const whole = (usual: number) => setZoom(fitting(glazes.length, roomFor(stand.current!), usual));
  useEffect(() => {
    if (glazes.length > 16) setZoom(fitting(glazes.length, roomFor(stand.current!)));
  }, [glazes.length]);
  // A wall that opens at a cell is walked from there by keys at once.
  useEffect(() => {
    if (start && document.activeElement === document.body)
      stand.current?.querySelector<HTMLElement>('[tabindex="0"]')?.focus({ preventScroll: true });
  }, [start]);

  if (wall.settings.length === 0)
    return (
      <>
        <RefreshOnChange from="/api/v1/live" />
        <h1>Wall</h1>
        <p>No tile yet. Log a piece, fire it and record it at the opening: its zones appear here.</p>
        <LinkButton variant="contained" href="/pieces/new">
          Log a piece
        </LinkButton>
      </>
    );
  return (
    <>
      <RefreshOnChange from="/api/v1/live" />
      <GuideWords first={glazes[0]?.name ?? 'Wall'} last={glazes.at(-1)?.name} />
      <h1 className="sr">Wall</h1>
      <WallTools
        wall={wall}
        walls={walls}
        onGo={go}
        zoom={zoom}
        onZoom={setZoom}
        onWhole={() => whole(640)}
        flick={flick}
        mayShare={mayShare}
      />
      <div className={css.columns}>
        <div ref={stand} aria-busy={underWay}>
          {glazes.length === 0 ? (
            <p>No tile with this glaze over two others, on these grounds at this cone.</p>
          ) : (
            <Matrix
              glazes={glazes}
              cells={flick.cells}
              zoom={drawnZoom}
              onZoom={setZoom}
              at={[row, column]}
              picked={picked}
              onChoose={choose}
              onOpen={open}
            />
          )}
        </div>
        <aside className={css.side}>
          {base && top && (
            <CellPanel
              cell={own.get(cellKey(base.id, top.id)) ?? null}
              mirror={own.get(cellKey(top.id, base.id)) ?? null}
              base={base}
              top={top}
              row={{
                groundId: choice.grounds.length === 1 ? choice.grounds[0]! : null,
                cone: choice.cone as Heat,
                atmosphere: choice.atmosphere,
              }}
              grounds={choice.grounds.flatMap((id) => grounds.find((ground) => ground.id === id) ?? [])}
              list={list}
              onList={setList}
            />
          )}
        </aside>
      </div>
    </>
  );
}

/** Room for the columns of a whole matrix, px: its heads left out, and no wider than its rows may be high. */
function roomFor(stand: HTMLElement): number {
  const high = window.innerHeight - stand.getBoundingClientRect().top - window.scrollY - 170;
  return Math.min(stand.clientWidth - 150, Math.max(240, high) / TALL);
}

function placeOf(key: string | null, glazes: readonly { readonly id: string }[]): readonly [number, number] {
  const [baseId, topId] = key?.split('.') ?? [];
  const at = (id: string | undefined) => glazes.findIndex((glaze) => glaze.id === id);
  return at(baseId) >= 0 && at(topId) >= 0 ? [at(baseId), at(topId)] : [0, Math.min(1, glazes.length - 1)];
}
