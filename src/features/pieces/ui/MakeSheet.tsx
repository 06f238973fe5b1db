import { counted, areaOf, grams, lengthOf, sayQuantity, unitOf } from '@/core/units';
import { useUnits } from '@/ui/units';
import type { WorkSheet, MakeLine } from '@/core/rounds';
import { layerWords } from '@/core/coats';
import { DataTable, TickField } from '@/ui/kit';
import css from './make.module.css';

interface Props {
  readonly sheet: WorkSheet;
  /** Name by glaze id. */
  readonly names: ReadonlyMap<string, string>;
  readonly count: number;
  /** Whether bands are measured from the centre. */
  readonly isFlat: boolean;
  /** Coats that keep their bands in centimetres, by their place. */
  readonly inCm: readonly number[];
  readonly onInCm: (index: number) => void;
  /** What its entries show, in words. */
  readonly spread: readonly string[];
  readonly cautions: readonly string[];
}

/** The work sheet of a piece that is made again: its coats at the new size, what to expect and what to mind. */
export function MakeSheet(props: Props) {
  const { sheet, names, count, isFlat, inCm, onInCm, spread, cautions } = props;
  const units = useUnits();
  return (
    <div>
      <DataTable
        label="Coats to apply"
        columns={[
          { name: 'Coat', isHead: true },
          { name: isFlat ? 'From the centre' : 'Above the foot', align: 'right' },
          { name: 'Area', align: 'right' },
          { name: 'Dry', align: 'right' },
        ]}
        rows={[
          ...sheet.lines.map((line, i) => ({
            key: String(i),
            cells: [
              <CoatWords key="coat" line={line} name={names.get(line.glaze) ?? ''} />,
              line.area ?? (
                <BandWords key="band" line={line} isInCm={inCm.includes(i)} onInCm={() => onInCm(i)} />
              ),
              line.areaCm2 === null ? NOT_KNOWN : sayQuantity(areaOf(line.areaCm2), units),
              line.dryGrams === null ? NOT_KNOWN : sayQuantity(grams(line.dryGrams, 1), units),
            ],
          })),
          ...Object.entries(sheet.grams).map(([glaze, dry]) => ({
            key: glaze,
            cells: [
              `${names.get(glaze)}, on ${counted(count, 'piece')}`,
              '',
              '',
              dry === null ? NOT_KNOWN : <b key="dry">{sayQuantity(grams(dry, 1), units)}</b>,
            ],
          })),
        ]}
      />
      <p className="small quiet">
        What stays on the ware: area × raw thickness (0.6 mm for a dip, 0.2 mm for a brushed coat) × 1.45
        g/cm³. These are estimates; your own measurements count more. Nobody has a figure for other ways:
        weigh a piece before and after. The bucket needs more than this to dip in.
      </p>
      {spread.length > 0 && (
        <>
          <h2>What to expect</h2>
          <ul>
            {spread.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </>
      )}
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

/** Where a band lies at the new size, and whether it kept its centimetres. */
function BandWords({
  line,
  isInCm,
  onInCm,
}: {
  readonly line: MakeLine;
  readonly isInCm: boolean;
  readonly onInCm: () => void;
}) {
  const units = useUnits();
  const isWhole = line.from === 0 && line.to === 1;
  return (
    <>
      {sayQuantity(lengthOf(line.fromMm), units)} to {sayQuantity(lengthOf(line.toMm), units)}
      {!isWhole && (
        <TickField
          className={css.keep}
          label={`keep in ${unitOf('length', units)}`}
          checked={isInCm}
          onChange={onInCm}
        />
      )}
    </>
  );
}

const NOT_KNOWN = 'not known';

function CoatWords({ line, name }: { line: MakeLine; name: string }) {
  return (
    <>
      <b>{name}</b>, {layerWords(line)}
      {line.seconds !== null && `, ${line.seconds} s`}
      {line.area === null && line.side !== 'outside' && `, ${line.side}`}
    </>
  );
}
