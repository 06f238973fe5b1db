'use client';
import Button from '@mui/material/Button';
import type { Line } from '@/core/chemistry';
import { baseTotal, normalise } from '@/core/recipe';
import type { RecipeVersion } from '@/records/materials';
import { shortDay } from '@/ui/dates';
import { Swatch } from '@/ui/Swatch';
import css from './glaze.module.css';

interface Props {
  readonly versions: readonly RecipeVersion[];
  readonly colour: string;
  readonly onTake: (lines: readonly Line[], note: string) => void;
}

/** The versions of a glaze side by side, what changed set bold, with what the tiles of each gave. */
export function Versions({ versions, colour, onTake }: Props) {
  const written = [...versions].reverse();
  const tables = written.map(({ lines }) => percentsOf(lines ?? []));
  const materials = [...new Set(tables.flatMap((table) => [...table.keys()]))].sort(
    (a, b) => Number(a.startsWith('+')) - Number(b.startsWith('+')),
  );
  return (
    <section className={`${css.versions} no-print`} id="versions" aria-labelledby="versions-title">
      <h2 id="versions-title">Versions and their results</h2>
      <div className={css.scroll}>
        <table aria-label="Versions side by side">
          <thead>
            <tr>
              <td />
              {written.map((version) => (
                <th key={version.id} scope="col">
                  {version.number}
                  <small>
                    {shortDay(version.at)}
                    {version.by && `, ${version.by}`}
                  </small>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {materials.map((material) => (
              <tr key={material}>
                <th scope="row">{material.replace(/^\+/, '+ ')}</th>
                {tables.map((table, i) => {
                  const now = table.get(material);
                  const changed = i > 0 && Math.abs((now ?? 0) - (tables[i - 1]!.get(material) ?? 0)) > 0.005;
                  return (
                    <td key={written[i]!.id} className="figures">
                      {changed ? <b>{now?.toFixed(2) ?? 'out'}</b> : now?.toFixed(2)}
                    </td>
                  );
                })}
              </tr>
            ))}
            <tr>
              <th scope="row">Alone, fired</th>
              {written.map((version) => (
                <td key={version.id}>
                  {version.swatchHash ? (
                    <Swatch
                      hash={version.swatchHash}
                      colour={colour}
                      width={84}
                      height={56}
                      alt={`Version ${version.number}, fired`}
                    />
                  ) : (
                    <span className="small quiet">no photo yet</span>
                  )}
                </td>
              ))}
            </tr>
            <tr>
              <th scope="row">Results</th>
              {written.map((version) => (
                <td key={version.id} className="small">
                  {version.proofs === 0 ? (
                    <span className="quiet">none yet</span>
                  ) : (
                    <>
                      {version.proofs} zones read
                      {version.defects.map(({ defect, count }) => (
                        <span key={defect}>
                          <br />
                          {defect} {count}
                        </span>
                      ))}
                    </>
                  )}
                </td>
              ))}
            </tr>
            <tr>
              <th scope="row">Note</th>
              {written.map((version) => (
                <td key={version.id} className="small">
                  {version.note}
                </td>
              ))}
            </tr>
            <tr>
              <td />
              {written.map((version) => (
                <td key={version.id}>
                  {version.lines && (
                    <Button
                      size="small"
                      onClick={() => onTake(version.lines!, `From version ${version.number}`)}
                    >
                      Open in editor
                    </Button>
                  )}
                </td>
              ))}
            </tr>
          </tbody>
        </table>
      </div>
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
