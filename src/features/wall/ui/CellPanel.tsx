import { Said } from '@/ui/units';
import { colourWords, movementWords } from '@/core/evidence';
import { defectName, type Atmosphere, type Heat } from '@/core/vocabulary';
import type { WallEntry } from '@/records/dictionary';
import { LinkButton } from '@/ui/LinkButton';
import { ProofMarks } from '@/ui/ProofMarks';
import { Swatch } from '@/ui/Swatch';
import { WhyThisNumber } from '@/ui/WhyThisNumber';
import Link from 'next/link';
import type { WallCell } from '../model/cells';
import { EmptyCell } from './EmptyCell';
import css from './wall.module.css';

interface Named {
  readonly id: string;
  readonly name: string;
}

/** The chosen cell, large, in words: what it looks like on each ground, how well proved, and the other order. */
export function CellPanel({
  cell,
  mirror,
  base: below,
  top: over,
  row,
  grounds,
  list,
  onList,
}: {
  cell: WallCell | null;
  mirror: WallCell | null;
  base: Named;
  top: Named;
  /** The row of the wall that is shown, and the grounds that stand on it. */
  row: { readonly groundId: string | null; readonly cone: Heat; readonly atmosphere: Atmosphere };
  grounds: readonly Named[];
  /** Cells on the list for a round, "base.top". */
  list: readonly string[];
  onList: (list: readonly string[]) => void;
}) {
  const [base, top] = [below.name, over.name];
  const single = base === top;
  return (
    <section className={css.panel} aria-label="Chosen cell" aria-live="polite">
      <h2>
        {top}
        {!single && (
          <>
            {' '}
            <i className="quiet">over</i> {base}
          </>
        )}
      </h2>
      {!cell && <EmptyCell base={below} top={over} {...{ row, grounds, list, onList }} />}
      {cell?.quarters.map((quarter, i) => (
        <div key={i}>
          <p className="small quiet">on {grounds[i]?.name}</p>
          {(
            [
              ['twice', quarter.twice],
              ['once', quarter.once],
            ] as const
          ).map(([word, entry]) => entry && <EntryLine key={word} word={word} entry={entry} />)}
        </div>
      ))}
      {cell && <WhyThisNumber />}
      {cell?.headwordId && (
        <LinkButton variant="contained" href={`/entry/${cell.headwordId}`} title="Open (Enter)">
          Open entry
        </LinkButton>
      )}
      {!single && (
        <p className="small">
          Other order:{' '}
          {mirror?.headwordId ? (
            <>
              <Link href={`/entry/${mirror.headwordId}`}>
                {base} over {top}
              </Link>
              {mirror.worst?.worstDefect && `, ${defectName(mirror.worst.worstDefect)}`}
            </>
          ) : (
            <span className="quiet">not tried</span>
          )}
        </p>
      )}
    </section>
  );
}

function EntryLine({ word, entry }: { word: string; entry: WallEntry }) {
  const seen = [entry.surface, entry.colour && colourWords(entry.colour)].filter(Boolean).join(', ');
  const look =
    entry.proofs === 0 ? 'nothing that counts: another recipe version, a missed cone, a weak firing' : seen;
  return (
    <div className={css.line}>
      <Swatch hash={entry.swatchHash} colour={entry.colour} width={84} height={62} alt={`${word}: ${look}`} />
      <p>
        <b>{word}</b>: {look || 'not described'}
        <br />
        <span className="small">
          {entry.movement && entry.movement !== 'stable' && (
            <>
              <Said of={movementWords(entry.movement)} />.{' '}
            </>
          )}
          {entry.worstDefect && <b>{defectName(entry.worstDefect)}. </b>}
        </span>
        <ProofMarks proofs={entry.proofs} agreeing={entry.agreeing} height={11} />
      </p>
    </div>
  );
}
