'use client';
import { figures } from '@/core/units';
import Button from '@mui/material/Button';
import type { Line } from '@/core/chemistry';
import { baseTotal, normalise } from '@/core/recipe';
import type { RecipeVersion } from '@/records/materials';
import { shortDay } from '@/core/time';
import { DataTable } from '@/ui/kit';
import { Swatch } from '@/ui/Swatch';
import css from './glaze.module.css';
import { UseVersion } from './UseVersion';

interface Props {
  readonly versions: readonly RecipeVersion[];
  readonly colour: string;
  /** The version in use, and the glaze whose it is. */
  readonly inUse: { readonly glazeId: string; readonly versionId: string };
  readonly mayChange: boolean;
  readonly onTake: (lines: readonly Line[], note: string) => void;
}

/** The versions of a glaze side by side, what changed set bold, with what the tiles of each gave. */
export function Versions({ versions, colour, inUse, mayChange, onTake }: Props) {
  const written = [...versions].reverse();
  const tables = written.map(({ lines }) => percentsOf(lines ?? []));
  const materials = [...new Set(tables.flatMap((table) => [...table.keys()]))].sort(
    (a, b) => Number(a.startsWith('+')) - Number(b.startsWith('+')),
  );
  const amount = (material: string, i: number) => {
    const now = tables[i]!.get(material);
    const isChanged = i > 0 && Math.abs((now ?? 0) - (tables[i - 1]!.get(material) ?? 0)) > 0.005;
    const Figure = isChanged ? 'b' : 'span';
    return (
      <Figure key={i} className="figures">
        {figures(now, 2, isChanged ? 'out' : '')}
      </Figure>
    );
  };
  return (
    <section className={`${css.versions} no-print`} id="versions" aria-labelledby="versions-title">
      <h2 id="versions-title">Versions and their results</h2>
      <DataTable
        label="Versions side by side"
        columns={[
          { name: '', isHead: true },
          ...written.map((version) => ({
            name: String(version.number),
            note: [shortDay(version.at), version.by].filter(Boolean).join(', '),
          })),
        ]}
        rows={[
          {
            key: 'use',
            cells: [
              'In use',
              ...written.map(({ id, number }) =>
                id === inUse.versionId ? (
                  <b key={id}>in use</b>
                ) : mayChange ? (
                  <UseVersion key={id} glazeId={inUse.glazeId} versionId={id} words={`version ${number}`} />
                ) : (
                  ''
                ),
              ),
            ],
          },
          ...materials.map((material) => ({
            key: material,
            cells: [material.replace(/^\+/, '+ '), ...tables.map((_, i) => amount(material, i))],
          })),
          {
            key: 'fired',
            cells: [
              'Alone, fired',
              ...written.map((version) =>
                version.swatchHash ? (
                  <Swatch
                    key={version.id}
                    hash={version.swatchHash}
                    colour={colour}
                    width={84}
                    height={56}
                    alt={`Version ${version.number}, fired`}
                  />
                ) : (
                  <span key={version.id} className="small quiet">
                    no photo yet
                  </span>
                ),
              ),
            ],
          },
          { key: 'results', cells: ['Results', ...written.map(results)] },
          { key: 'note', cells: ['Note', ...written.map((version) => version.note)] },
          {
            key: 'open',
            cells: [
              '',
              ...written.map(
                (version) =>
                  version.lines && (
                    <Button
                      key={version.id}
                      size="small"
                      onClick={() => onTake(version.lines!, `From version ${version.number}`)}
                    >
                      Open in editor
                    </Button>
                  ),
              ),
            ],
          },
        ]}
      />
    </section>
  );
}

/** Percent of the base by material; additions with a plus before the name. */
function percentsOf(lines: readonly Line[]): Map<string, number> {
  const percents = new Map<string, number>();
  if (!(baseTotal(lines) > 0)) return percents;
  for (const { material, amount, addition } of normalise(lines)) {
    const key = `${addition ? '+' : ''}${material}`;
    percents.set(key, (percents.get(key) ?? 0) + amount);
  }
  return percents;
}

/** What the tiles of a version gave. */
function results({ id, pieces, defects }: RecipeVersion) {
  if (pieces === 0)
    return (
      <span key={id} className="quiet">
        none yet
      </span>
    );
  return (
    <span key={id}>
      {pieces} {pieces === 1 ? 'piece' : 'pieces'} read
      {defects.map(({ defect, count }) => (
        <span key={defect}>
          <br />
          {defect} {count}
        </span>
      ))}
    </span>
  );
}
