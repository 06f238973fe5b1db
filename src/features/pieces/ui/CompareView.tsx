import type { PiecePage } from '@/records/pieces';
import Link from 'next/link';
import { GuideWords } from '@/ui/frame';
import { DataTable } from '@/ui/kit';
import css from './compare.module.css';
import { Panes, type Pane } from './Panes';
import { colourOf, explained, rowsOf, zonesToCompare, zoneWords, type Compared } from '../model/zones';

/** A piece that the address asks for. */
interface Asked {
  readonly piece: PiecePage;
  /** Its place in the address: pieces that are not there are left out. */
  readonly place: number;
  /** Empty when no zone of it is asked for. */
  readonly zoneId: string;
}

/** Zones side by side on neutral grey at one scale; below, what was done and what came out, and what explains it. */
export function CompareView({
  asked,
  countsShelf,
  otherWay,
}: {
  asked: readonly Asked[];
  /** Whether the shelf counts as something that was done differently. */
  countsShelf: boolean;
  /** The address of the same comparison the other way about. */
  otherWay: string;
}) {
  const pieces = asked.map(({ piece }) => piece);
  const all = zonesToCompare(
    pieces,
    asked.map(({ zoneId }) => zoneId),
  );
  const rows = rowsOf(all);
  const differing = rows.filter((row) => new Set(row.values).size > 1);
  const alike = rows.filter((row) => !differing.includes(row));
  return (
    <>
      <GuideWords first={pieces[0]?.label ?? 'Compare'} last={pieces.at(-1)?.label} />
      <h1>Compare</h1>
      {pieces.length < 2 && <p>Pick two or more pieces up (key p), then compare them here.</p>}
      {pieces.length > 0 && (
        <>
          <p className={css.explained}>{explained(rows, { countsShelf })}</p>
          {differing.some(({ name }) => name === 'Shelf') && (
            <p className="small quiet">
              {countsShelf
                ? 'Shelves count here. '
                : 'Shelves are left out: pieces are spread over them on purpose. '}
              <Link href={otherWay}>{countsShelf ? 'Leave them out' : 'Count them too'}</Link>
            </p>
          )}
          <Panes panes={all.map((one, i) => paneOf(one, asked[i]!.place))} />
          <DataTable
            label="What differs"
            hasHeadings={false}
            columns={[{ name: 'What', isHead: true }, ...all.map(({ piece }) => ({ name: piece.label }))]}
            rows={differing.map((row) => ({
              key: row.name,
              cells: [
                <span key="name" className="quiet">
                  {row.name}
                  <small>{row.done ? 'done' : 'came out'}</small>
                </span>,
                ...row.values.map((value) =>
                  row.name === 'Recipe versions' ? versionWords(row.values, value) : value,
                ),
              ],
            }))}
          />
          {pieces.length > 1 && (
            <p className="quiet">
              The same on all: {alike.map((row) => row.name.toLowerCase()).join(', ') || 'nothing'}.
            </p>
          )}
        </>
      )}
    </>
  );
}

/** Versions are told apart by letter: their ids say nothing to people. */
function versionWords(all: readonly string[], value: string): string {
  return `recipe ${String.fromCharCode(65 + [...new Set(all)].indexOf(value))}`;
}

function paneOf({ piece, firing, zone }: Compared, place: number): Pane {
  const [photo] = piece.photos;
  return {
    place,
    label: piece.label,
    hash: photo?.hash ?? null,
    frame: photo?.frame ?? { left: 0, right: 1, rim: 0, foot: 1 },
    width: photo?.width ?? 1,
    height: photo?.height ?? 1,
    heightMm: piece.heightMm,
    colour: colourOf(zone),
    zoneId: zone?.id ?? null,
    middle: zone ? (zone.from + zone.to) / 2 : 0.5,
    zones: firing?.zones.map((one) => ({ id: one.id, words: zoneWords(one, piece) })) ?? [],
  };
}
