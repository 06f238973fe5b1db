import type { WorkSheet, MakeLine } from '@/core/rounds';
import { layerWords } from '@/core/coats';
import { DataTable } from '@/ui/kit';

interface Props {
  readonly sheet: WorkSheet;
  /** Name by glaze id. */
  readonly names: ReadonlyMap<string, string>;
  readonly count: number;
  /** Whether bands are measured from the centre. */
  readonly isFlat: boolean;
  /** What its entries show, in words. */
  readonly spread: readonly string[];
  readonly cautions: readonly string[];
}

/** The work sheet of a piece that is made again: its coats at the new size, what to expect and what to mind. */
export function MakeSheet({ sheet, names, count, isFlat, spread, cautions }: Props) {
  return (
    <div>
      <DataTable
        label="Coats to apply"
        columns={[
          { name: 'Coat', isHead: true },
          { name: isFlat ? 'From the centre, mm' : 'Above the foot, mm', align: 'right' },
          { name: 'Area, cm²', align: 'right' },
          { name: 'Dry, g', align: 'right' },
        ]}
        rows={[
          ...sheet.lines.map((line, i) => ({
            key: String(i),
            cells: [
              <CoatWords key="coat" line={line} name={names.get(line.glaze) ?? ''} />,
              `${line.fromMm.toFixed(0)} to ${line.toMm.toFixed(0)}`,
              line.areaCm2.toFixed(0),
              line.dryGrams?.toFixed(1) ?? NOT_KNOWN,
            ],
          })),
          ...Object.entries(sheet.grams).map(([glaze, grams]) => ({
            key: glaze,
            cells: [
              `${names.get(glaze)}, on ${count} ${count === 1 ? 'piece' : 'pieces'}`,
              '',
              '',
              grams === null ? NOT_KNOWN : <b key="grams">{grams.toFixed(1)}</b>,
            ],
          })),
        ]}
      />
      <p className="small quiet">
        What stays on the ware: area × raw thickness (0.6 mm for a dip, 0.2 mm for a brushed coat) × 1.45
        g/cm³. These are estimates; your own measurements count more. Nobody has a figure for other ways:
        weigh a piece before and after. The bucket needs more than this to dip in.
      </p>
      <h2>What to expect</h2>
      <ul>
        {spread.map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ul>
      {cautions.length > 0 && (
        <>
          <h2>Caution</h2>
          <ul className="heat">
            {cautions.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

const NOT_KNOWN = 'not known';

function CoatWords({ line, name }: { line: MakeLine; name: string }) {
  return (
    <>
      <b>{name}</b>, {layerWords(line)}
      {line.seconds !== null && `, ${line.seconds} s`}
      {line.side !== 'outside' && `, ${line.side}`}
    </>
  );
}
