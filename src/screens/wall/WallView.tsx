'use client';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { usePathname, useRouter, useSearchParams } from 'next/navigation';
import { useEffect, useMemo, useRef, useState, useTransition } from 'react';
import type { WallChoice, WallEntry } from '@/records/wall';
import { DefectGlyph } from '@/ui/DefectGlyph';
import { GuideWords } from '@/ui/frame';
import { ProofMarks } from '@/ui/ProofMarks';
import { CellPanel } from './CellPanel';
import { cellKey, cellsOf, type Cell } from './cells';
import css from './wall.module.css';

interface Named {
  readonly id: string;
  readonly name: string;
}

interface Props {
  readonly entries: readonly WallEntry[];
  readonly choice: WallChoice;
  /** All that a wall can be drawn for. */
  readonly settings: readonly { readonly cone: string; readonly atmosphere: string }[];
  readonly grounds: readonly Named[];
  readonly glazes: readonly Named[];
  readonly start: string | null;
}

/** The reference chart: what lies below in rows, what lies over it in columns, each cell from its proofs. */
export function WallView({ entries, choice, settings, grounds, glazes, start }: Props) {
  const router = useRouter();
  const path = usePathname();
  const params = useSearchParams();
  const cells = useMemo(() => cellsOf(entries, choice.grounds), [entries, choice.grounds]);
  const tried = new Set(entries.flatMap((entry) => [entry.baseId, entry.topId]));
  const shown = glazes.filter((glaze) => tried.has(glaze.id));
  const [[row, column], setAt] = useState<readonly [number, number]>(() => placeOf(start, shown));
  const [hovered, setHovered] = useState<string | null>(null);
  const grid = useRef<HTMLDivElement>(null);
  const base = shown[row];
  const top = shown[column];
  const chosen = base && top ? cellKey(base.id, top.id) : null;
  const [lit, lead] = hovered ? [hovered, hovered] : [chosen, chosen];
  const mirror = lit && lead ? lead.split('.').reverse().join('.') : null;

  // Another wall may still be on its way: what is asked for next must not call it back.
  const [underWay, startGoing] = useTransition();
  const asked = useRef('');
  const wanted = (changes: Readonly<Record<string, string>>) => {
    const next = new URLSearchParams(underWay ? asked.current : params);
    for (const [key, value] of Object.entries(changes)) next.set(key, value);
    asked.current = next.toString();
    return `${path}?${next}`;
  };
  const go = (changes: Readonly<Record<string, string>>) => {
    const address = wanted(changes);
    startGoing(() => router.replace(address, { scroll: false }));
  };
  const choose = (r: number, c: number) => {
    setAt([r, c]);
    const at = { at: cellKey(shown[r]!.id, shown[c]!.id) };
    if (underWay) go(at);
    else window.history.replaceState(null, '', wanted(at));
    grid.current?.querySelector<HTMLElement>(`[data-place="${r}.${c}"]`)?.focus();
  };
  // A wall that opens at a cell is walked from there by keys at once.
  useEffect(() => {
    if (start && document.activeElement === document.body)
      grid.current?.querySelector<HTMLElement>('[tabindex="0"]')?.focus({ preventScroll: true });
  }, [start]);
  const onKey = (event: React.KeyboardEvent) => {
    const [dr, dc] = (
      { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] } as Record<
        string,
        [number, number]
      >
    )[event.key] ?? [0, 0];
    if (!dr && !dc) return;
    event.preventDefault();
    choose(
      Math.min(shown.length - 1, Math.max(0, row + dr)),
      Math.min(shown.length - 1, Math.max(0, column + dc)),
    );
  };
  const open = (cell: Cell | undefined) => cell?.headwordId && router.push(`/entry/${cell.headwordId}`);

  if (shown.length === 0) {
    return (
      <>
        <h1>Wall</h1>
        <p>Nothing is proved yet. Log a piece, fire it and read it at the opening: its zones appear here.</p>
      </>
    );
  }
  return (
    <>
      <GuideWords first={shown[0]!.name} last={shown.at(-1)!.name} />
      <h1 className="sr">Wall</h1>
      <div className={css.columns}>
        <div className={css.scroll}>
          <div
            className={css.grid}
            style={{ gridTemplateColumns: `128px repeat(${shown.length}, minmax(58px, 1fr))` }}
            role="grid"
            aria-label="Glazes over glazes"
            ref={grid}
            onKeyDown={onKey}
            onMouseLeave={() => setHovered(null)}
          >
            <div role="row" className={css.contents}>
              <div role="columnheader" className={css.corner}>
                over →<br />
                base ↓
              </div>
              {shown.map((glaze) => (
                <div key={glaze.id} role="columnheader" className={css.columnHead}>
                  <span>{glaze.name}</span>
                </div>
              ))}
            </div>
            {shown.map((below, r) => (
              <div key={below.id} role="row" className={css.contents}>
                <div role="rowheader" className={css.rowHead}>
                  {below.name}
                </div>
                {shown.map((over, c) => {
                  const key = cellKey(below.id, over.id);
                  const cell = cells.get(key);
                  return (
                    <div
                      key={key}
                      role="gridcell"
                      data-place={`${r}.${c}`}
                      tabIndex={r === row && c === column ? 0 : -1}
                      aria-selected={key === chosen}
                      aria-label={`${below.id === over.id ? below.name : `${over.name} over ${below.name}`}, ${cell ? provedWords(cell) : 'not tried'}`}
                      className={css.cell}
                      data-mirror={(key === mirror && mirror !== lit) || undefined}
                      onClick={() => choose(r, c)}
                      onDoubleClick={() => open(cell)}
                      onMouseEnter={() => setHovered(key)}
                      onKeyDown={(event) => event.key === 'Enter' && open(cell)}
                    >
                      {cell ? <CellPicture cell={cell} /> : <span className={css.bare} />}
                    </div>
                  );
                })}
              </div>
            ))}
          </div>
        </div>
        <aside className={css.side}>
          <ToggleButtonGroup
            exclusive
            fullWidth
            size="small"
            aria-label="Cone and atmosphere"
            value={`${choice.cone} ${choice.atmosphere}`}
            onChange={(_, value: string | null) =>
              value && go({ cone: value.split(' ')[0]!, atmosphere: value.split(' ')[1]! })
            }
          >
            {settings.map(({ cone, atmosphere }) => (
              <ToggleButton key={cone + atmosphere} value={`${cone} ${atmosphere}`}>
                Cone {cone} {atmosphere}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          <div className={css.grounds}>
            {(['left', 'right'] as const).map((side, i) => (
              <TextField
                key={side}
                select
                label={side === 'left' ? 'Left half on' : 'Right half on'}
                value={choice.grounds[i] ?? ''}
                onChange={(event) => go({ [side]: event.target.value })}
              >
                {grounds.map((ground) => (
                  <MenuItem key={ground.id} value={ground.id}>
                    {ground.name}
                  </MenuItem>
                ))}
              </TextField>
            ))}
          </div>
          {base && top && (
            <CellPanel
              cell={cells.get(cellKey(base.id, top.id)) ?? null}
              mirror={cells.get(cellKey(top.id, base.id)) ?? null}
              base={base.name}
              top={top.name}
              grounds={choice.grounds.map((id) => grounds.find((ground) => ground.id === id)?.name ?? '')}
            />
          )}
        </aside>
      </div>
    </>
  );
}

function placeOf(key: string | null, glazes: readonly Named[]): readonly [number, number] {
  const [baseId, topId] = key?.split('.') ?? [];
  const at = (id: string | undefined) => glazes.findIndex((glaze) => glaze.id === id);
  return at(baseId) >= 0 && at(topId) >= 0 ? [at(baseId), at(topId)] : [0, Math.min(1, glazes.length - 1)];
}

/** How well a cell is known, for ears. */
function provedWords({ proofs, agreeing }: Cell): string {
  return proofs === 0 ? 'an older recipe only' : `${agreeing} of ${proofs} agree`;
}

/** Left half on the light ground, right half on the dark; the top glaze once below, twice above. */
function CellPicture({ cell }: { cell: Cell }) {
  return (
    <>
      <span className={css.picture}>
        {cell.quarters.map(({ once, twice }, i) => (
          <span key={i} className={css.half}>
            {[twice, once].map((entry, level) =>
              entry?.swatchHash ? (
                <img
                  key={level}
                  src={`/api/v1/photos/${entry.swatchHash}`}
                  alt=""
                  loading="lazy"
                  decoding="async"
                />
              ) : (
                <span
                  key={level}
                  className={entry ? undefined : css.bare}
                  style={entry?.colour ? { background: entry.colour } : undefined}
                />
              ),
            )}
          </span>
        ))}
      </span>
      <span className={css.marks}>
        {cell.proofs === 0 ? (
          'older'
        ) : (
          <ProofMarks proofs={cell.proofs} agreeing={cell.agreeing} height={9} />
        )}
      </span>
      {cell.worst?.worstDefect && (
        <span className={css.glyph}>
          <DefectGlyph id={cell.worst.worstDefect} size={15} />
        </span>
      )}
    </>
  );
}
