import Link from 'next/link';
import { stackWords } from '@/core/coats';
import { deltaE00, labOf } from '@/core/colour';
import { defectName } from '@/core/evidence';
import type { PiecePage } from '@/records/piecePages';
import { drawnPiece } from '@/ui/drawn';
import { GuideWords } from '@/ui/frame';
import { Photo } from '@/ui/Photo';
import { Silhouette } from '@/ui/Silhouette';
import css from './compare.module.css';

interface Row {
  readonly name: string;
  readonly values: readonly string[];
}

/** Pieces side by side on neutral grey at one scale; below, only what differs between them. */
export function CompareView({ pieces }: { pieces: readonly PiecePage[] }) {
  const tallest = Math.max(1, ...pieces.map((piece) => piece.heightMm));
  const rows = rowsOf(pieces);
  const differing = rows.filter((row) => new Set(row.values).size > 1);
  return (
    <>
      <GuideWords first={pieces[0]?.label ?? 'Compare'} last={pieces.at(-1)?.label} />
      <h1>Compare</h1>
      {pieces.length < 2 && <p>Pick two or more pieces up (key p), then compare them here.</p>}
      <div className={css.scroll}>
        <table className={css.table}>
          <thead>
            <tr>
              <th />
              {pieces.map((piece) => (
                <th key={piece.id}>
                  <span className={css.stand}>
                    {piece.photos[0] ? (
                      <Photo
                        hash={piece.photos[0].hash}
                        alt={`Photo of ${piece.label}`}
                        width="100%"
                        height={(320 * piece.heightMm) / tallest}
                      />
                    ) : (
                      <Silhouette
                        {...drawnPiece(piece)}
                        size={Math.min(250, (250 * piece.heightMm) / tallest)}
                      />
                    )}
                  </span>
                  <Link href={`/pieces/${piece.label}`} className="figures">
                    {piece.label}
                  </Link>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {differing.map((row) => (
              <tr key={row.name}>
                <th scope="row">{row.name}</th>
                {row.values.map((value, i) => (
                  <td key={i}>{value}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {pieces.length > 1 && (
        <p className="quiet" style={{ marginTop: 14 }}>
          {differing.length === 0
            ? 'Nothing that was written down differs.'
            : `The same on all: ${
                rows
                  .filter((row) => !differing.includes(row))
                  .map((row) => row.name.toLowerCase())
                  .join(', ') || 'nothing'
              }.`}
        </p>
      )}
    </>
  );
}

function rowsOf(pieces: readonly PiecePage[]): Row[] {
  const last = (piece: PiecePage) => piece.firings.at(-1);
  const live = (piece: PiecePage) =>
    last(piece)?.zones.map((zone) => ({ zone, reading: zone.readings.find((one) => !one.ended) })) ?? [];
  const row = (name: string, value: (piece: PiecePage) => string): Row => ({
    name,
    values: pieces.map(value),
  });
  const names = new Map(
    pieces.flatMap((piece) => piece.coats.map((coat) => [coat.glazeId, coat.glazeName] as const)),
  );
  const topColour = (piece: PiecePage) =>
    live(piece).findLast(({ zone, reading }) => reading?.colour ?? zone.colour)?.zone.colour ?? null;
  const first = pieces[0] ? topColour(pieces[0]) : null;
  return [
    row('Form', (piece) => piece.form),
    row('Clay', (piece) => piece.body),
    row(
      'On it',
      (piece) =>
        piece.coats
          .map((coat) =>
            stackWords([{ glaze: coat.glazeId, times: coat.times }], (id) => names.get(id) ?? '?'),
          )
          .join(', ') || 'bare',
    ),
    row('Firing', (piece) => (last(piece) ? `${last(piece)!.kiln} ${last(piece)!.number}` : 'not fired')),
    row('Cone', (piece) => last(piece)?.cone ?? ''),
    row('Atmosphere', (piece) => last(piece)?.atmosphere ?? ''),
    row('Shelf', (piece) => String(last(piece)?.shelf ?? '')),
    row('Surface', (piece) =>
      [
        ...new Set(
          live(piece)
            .map(({ reading }) => reading?.surface)
            .filter(Boolean),
        ),
      ].join(', '),
    ),
    row('Movement', (piece) =>
      [
        ...new Set(
          live(piece)
            .map(({ reading }) => reading?.movement)
            .filter(Boolean),
        ),
      ].join(', '),
    ),
    row(
      'Defects',
      (piece) =>
        [
          ...new Set(
            live(piece).flatMap(({ reading }) => reading?.defects.map((one) => defectName(one.defect)) ?? []),
          ),
        ].join(', ') || 'none',
    ),
    row('Uppermost colour, ΔE00 from the first', (piece) => {
      const colour = topColour(piece);
      return colour && first ? deltaE00(labOf(first), labOf(colour)).toFixed(1) : 'not measured';
    }),
    row('Fate', (piece) => piece.fate ?? 'none'),
  ];
}
