'use client';
import { memo, useMemo, useRef, useState } from 'react';
import { DefectGlyph } from '@/ui/DefectGlyph';
import { ProofMarks } from '@/ui/ProofMarks';
import { cellKey, quartersOf, type WallCell } from '../model/cells';
import { FlatCells, placeOnFlat } from './FlatCells';
import { HEAD, intoView, useView, useZoomGestures } from '../model/panning';
import css from './wall.module.css';
import { useTiles } from './useTiles';
import { useUnfolded } from './useUnfolded';
import { inView, PICTURES_FROM, stepped, TALL, TILES_FROM } from '../model/zoom';

interface Named {
  readonly id: string;
  readonly name: string;
}

interface Props {
  readonly glazes: readonly Named[];
  readonly cells: ReadonlyMap<string, WallCell>;
  readonly zoom: number;
  readonly onZoom: (zoom: number) => void;
  /** Row and column of the chosen cell. */
  readonly at: readonly [number, number];
  readonly picked: ReadonlySet<string>;
  readonly onChoose: (row: number, column: number) => void;
  readonly onOpen: (cell: WallCell | undefined) => void;
}

const MOVES: Readonly<Record<string, readonly [number, number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
};

/** The matrix: only what is in view stands in the page, at any zoom. Scrolls to pan; Ctrl and wheel, + and −, or two fingers zoom. */
export function Matrix({ glazes, cells, zoom, onZoom, at, picked, onChoose, onOpen }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const [hovered, setHovered] = useState<string | null>(null);
  const view = useView(box);
  useZoomGestures(box, zoom, onZoom, at);
  const count = glazes.length;
  const high = Math.round(zoom * TALL);
  const [firstRow, lastRow] = inView(view.top, view.height - HEAD.height, high, count);
  const [firstColumn, lastColumn] = inView(view.left, view.width - HEAD.width, zoom, count);
  const rows = range(firstRow, lastRow, at[0]);
  const beyond = at[1] < firstColumn || at[1] > lastColumn ? at[1] : null;
  const columns = useMemo(() => range(firstColumn, lastColumn, beyond), [firstColumn, lastColumn, beyond]);
  const unfolded = useUnfolded(zoom, rows.length, columns.length);
  const chosen = glazes[at[0]] && glazes[at[1]] ? cellKey(glazes[at[0]]!.id, glazes[at[1]]!.id) : null;
  const lit = hovered ?? chosen;
  const mirror = lit?.split('.').reverse().join('.') ?? null;
  const tiles = useTiles(
    zoom >= TILES_FROM
      ? rows
          .flatMap((r) => columns.map((c) => cells.get(cellKey(glazes[r]!.id, glazes[c]!.id))))
          .flatMap(idsOf)
      : [],
  );
  const focusAt = (row: number, column: number) => {
    onChoose(row, column);
    intoView(box.current!, row * high, column * zoom, high, zoom);
    requestAnimationFrame(() =>
      box.current
        ?.querySelector<HTMLElement>(`[data-place="${row}.${column}"]`)
        ?.focus({ preventScroll: true }),
    );
  };
  const keyOf = (place: readonly [number, number] | null) =>
    place && cellKey(glazes[place[0]]!.id, glazes[place[1]]!.id);
  const cellAt = (place: readonly [number, number] | null) => {
    const key = keyOf(place);
    return key ? cells.get(key) : undefined;
  };
  const onKey = (event: React.KeyboardEvent) => {
    if (event.key === '+' || event.key === '-') return onZoom(stepped(zoom, event.key === '+' ? 1 : -1));
    if (event.key === 'Enter') return onOpen(cellAt(at));
    const move = MOVES[event.key];
    if (!move) return;
    event.preventDefault();
    const within = (place: number) => Math.min(count - 1, Math.max(0, place));
    focusAt(within(at[0] + move[0]), within(at[1] + move[1]));
  };
  return (
    <div className={css.scroll} ref={box} onMouseLeave={() => setHovered(null)}>
      <div
        role="grid"
        aria-label="Glazes over glazes"
        aria-rowcount={count + 1}
        aria-colcount={count + 1}
        className={css.sizer}
        style={{ width: HEAD.width + zoom * count + 60, height: HEAD.height + high * count + 6 }}
        onKeyDown={onKey}
        onClick={(event) => {
          const place = placeOf(event, zoom);
          if (place) focusAt(...place);
        }}
        onDoubleClick={(event) => onOpen(cellAt(placeOf(event, zoom)))}
        onMouseMove={(event) => setHovered(keyOf(placeOf(event, zoom)))}
      >
        <div role="row" aria-rowindex={1} className={css.headRow} style={{ height: HEAD.height }}>
          <div role="columnheader" className={css.corner} style={{ width: HEAD.width }}>
            over →<br />
            base ↓
          </div>
          {zoom >= 18 &&
            columns.map((c) => (
              <div
                key={glazes[c]!.id}
                role="columnheader"
                aria-colindex={c + 2}
                className={css.columnHead}
                style={{ left: HEAD.width + c * zoom + zoom / 2 - 8 }}
              >
                {glazes[c]!.name}
              </div>
            ))}
        </div>
        {rows.map((r, i) => (
          <Row
            key={glazes[r]!.id}
            row={r}
            glazes={glazes}
            columns={columns}
            cells={cells}
            zoom={zoom}
            isUnfolded={i < unfolded}
            chosen={at[0] === r ? at[1] : -1}
            mirror={lit && mirror !== lit && mirror?.startsWith(glazes[r]!.id) ? mirror : null}
            picked={picked}
            tiles={tiles}
          />
        ))}
      </div>
    </div>
  );
}

interface RowProps extends Pick<Props, 'glazes' | 'cells' | 'zoom' | 'picked'> {
  readonly row: number;
  readonly columns: readonly number[];
  /** Whether its cells may show more than colours yet. */
  readonly isUnfolded: boolean;
  /** Column of the chosen cell, −1 when it is in another row. */
  readonly chosen: number;
  /** The cell of this row that is the other order of the lit one. */
  readonly mirror: string | null;
  readonly tiles: ReadonlyMap<string, string>;
}

/** One base glaze with all over it; drawn again only when something in it changes. */
const Row = memo(function Row({
  row,
  glazes,
  columns,
  cells,
  zoom,
  isUnfolded,
  chosen,
  mirror,
  picked,
  tiles,
}: RowProps) {
  const high = Math.round(zoom * TALL);
  const below = glazes[row]!;
  const here = useMemo(
    () => columns.map((c) => cells.get(cellKey(below.id, glazes[c]!.id))),
    [columns, cells, below.id, glazes],
  );
  const isInOnePiece = columns.at(-1)! - columns[0]! === columns.length - 1;
  const isFlat = (zoom < PICTURES_FROM || !isUnfolded) && isInOnePiece;
  return (
    <div
      role="row"
      aria-rowindex={row + 2}
      className={css.row}
      style={{ top: HEAD.height + row * high, height: high }}
    >
      <div
        role="rowheader"
        className={css.rowHead}
        style={{ width: HEAD.width, fontSize: high < 18 ? 10 : undefined }}
      >
        {below.name}
      </div>
      {isFlat && (
        <FlatCells
          row={row}
          first={columns[0]!}
          cells={here}
          zoom={zoom}
          high={high}
          left={HEAD.width + columns[0]! * zoom}
        />
      )}
      {columns.map((c, i) => {
        const over = glazes[c]!;
        const key = cellKey(below.id, over.id);
        const cell = here[i];
        // On a drawn row only the cells that stand out are more than drawn.
        if (isFlat && c !== chosen && key !== mirror && !picked.has(key)) return null;
        return (
          <OneCell
            key={key}
            place={`${row}.${c}`}
            name={row === c ? below.name : `${over.name} over ${below.name}`}
            cell={cell}
            zoom={zoom}
            left={HEAD.width + c * zoom}
            chosen={c === chosen}
            mirror={key === mirror}
            picked={picked.has(key)}
            tile={tileOf(cell, tiles)}
          />
        );
      })}
    </div>
  );
});

interface CellProps {
  readonly place: string;
  readonly name: string;
  readonly cell: WallCell | undefined;
  readonly zoom: number;
  readonly left: number;
  readonly chosen: boolean;
  readonly mirror: boolean;
  readonly picked: boolean;
  readonly tile: string | null;
}

/** One cell; clicks and keys are heard by the grid, so that a cell is drawn again only when it changes. */
const OneCell = memo(function OneCell({
  place,
  name,
  cell,
  zoom,
  left,
  chosen,
  mirror,
  picked,
  tile,
}: CellProps) {
  return (
    <div
      role="gridcell"
      aria-colindex={Number(place.split('.')[1]) + 2}
      data-place={place}
      tabIndex={chosen ? 0 : -1}
      aria-selected={chosen}
      aria-label={`${name}, ${cell ? provedWords(cell) : picked ? 'not tried, in the next round' : 'not tried'}`}
      className={css.cell}
      data-mirror={mirror || undefined}
      data-picked={picked || undefined}
      style={{
        left,
        width: zoom - (zoom > 20 ? 3 : 1),
        background: cell && zoom < PICTURES_FROM ? quartersOf(cell) : undefined,
      }}
    >
      {!cell && <span className={css.bare} />}
      {cell && zoom >= PICTURES_FROM && <CellPicture cell={cell} zoom={zoom} tile={tile} />}
    </div>
  );
});

function placeOf({ target, clientX }: React.MouseEvent, zoom: number): readonly [number, number] | null {
  const place = (target as Element)
    .closest<HTMLElement>('[data-place]')
    ?.dataset.place?.split('.')
    .map(Number);
  return place ? [place[0]!, place[1]!] : placeOnFlat(target, clientX, zoom);
}

/** From this width a quarter shows its whole swatch. */
const FULL_FROM = 150;

function smallOf(swatchHash: string): string {
  return `/api/v1/photos/${swatchHash}?width=96`;
}

/** Left half on the light ground, right half on the dark; the top glaze once below, twice above. */
function CellPicture({ cell, zoom, tile }: { cell: WallCell; zoom: number; tile: string | null }) {
  return (
    <>
      <span className={css.picture}>
        {cell.quarters.map(({ once, twice }, i) => (
          <span key={i} className={css.half}>
            {[twice, once].map((entry, level) =>
              entry?.swatchHash ? (
                <img
                  key={level}
                  src={zoom < FULL_FROM ? smallOf(entry.swatchHash) : `/api/v1/photos/${entry.swatchHash}`}
                  // What is known already stands in until the picture has come.
                  style={{
                    backgroundColor: entry.colour ?? undefined,
                    backgroundImage: zoom < FULL_FROM ? undefined : `url(${smallOf(entry.swatchHash)})`,
                  }}
                  alt=""
                  loading="lazy"
                  decoding="async"
                  draggable={false}
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
      {tile && <Tile key={tile} hash={tile} zoom={zoom} />}
      <span className={css.marks}>
        {cell.proofs === 0 ? (
          'older'
        ) : (
          <ProofMarks proofs={cell.proofs} agreeing={cell.agreeing} height={9} most={5} />
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

/** The whole tile, laid over its swatches once it has come. */
function Tile({ hash, zoom }: { readonly hash: string; readonly zoom: number }) {
  const [hasCome, setHasCome] = useState(false);
  return (
    <img
      className={css.tile}
      hidden={!hasCome}
      onLoad={() => setHasCome(true)}
      src={`/api/v1/photos/${hash}${zoom < 600 ? '?width=720' : ''}`}
      alt=""
      draggable={false}
    />
  );
}

/** How well a cell is known, for ears. */
function provedWords({ proofs, agreeing }: WallCell): string {
  return proofs === 0 ? 'shown apart only' : `${agreeing} of ${proofs} pieces agree`;
}

/** Entries whose tile may be shown for a cell, the plainest first. */
function idsOf(cell: WallCell | undefined): string[] {
  return cell?.quarters.flatMap(({ once, twice }) => [once, twice]).flatMap((entry) => entry?.id ?? []) ?? [];
}

function tileOf(cell: WallCell | undefined, tiles: ReadonlyMap<string, string>): string | null {
  return idsOf(cell).flatMap((id) => tiles.get(id) ?? [])[0] ?? null;
}

function range(first: number, last: number, also: number | null): number[] {
  const places = Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => first + i);
  if (also !== null && also < first) places.unshift(also);
  if (also !== null && also > last) places.push(also);
  return places;
}
