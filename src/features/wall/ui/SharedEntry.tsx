import { heatName } from '@/core/vocabulary';
import { sayMessage, shortFigures, type Units } from '@/core/units';
import { stackWords } from '@/core/coats';
import { describe, bestProof } from '@/core/evidence';
import { zoneBracket } from '@/core/photo';
import { type Headword, type Sense } from '@/records/dictionary';
import type { RecipeInUse } from '@/records/materials';
import { DefectLine } from '@/ui/DefectLine';
import { Flame } from '@/ui/Flame';
import { ProofMarks } from '@/ui/ProofMarks';
import { Strokes } from '@/ui/Strokes';
import css from './share.module.css';

interface Props {
  readonly headword: Headword;
  /** Name by glaze id. */
  readonly names: ReadonlyMap<string, string>;
  /** Recipes of its glazes; empty when the link goes without. */
  readonly recipes: readonly RecipeInUse[];
  /** Who made a piece, by its id; empty when the link goes without names. */
  readonly makers: ReadonlyMap<string, string>;
  readonly at: string;
  readonly units: Units;
}

/** One entry as a visitor sees it. */
export function SharedEntry({ headword, names, recipes, makers, at, units }: Props) {
  return (
    <main className={css.page}>
      <p>
        <a href={at}>Back to the wall</a>
      </p>
      <h1>{headword.text}</h1>
      <ol className={css.senses}>
        {headword.senses.map((sense, i) => (
          <SharedSense key={sense.id} number={i + 1} {...{ sense, names, makers, at, units }} />
        ))}
      </ol>
      {recipes.map(({ glazeId, name, lines }) => (
        <section key={glazeId}>
          <h2>{name}</h2>
          <table className={css.recipe}>
            <tbody>
              {lines.map((line) => (
                <tr key={line.material}>
                  <td>
                    {line.addition && '+ '}
                    {line.material}
                  </td>
                  <td>{shortFigures(line.amount)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      ))}
    </main>
  );
}

function SharedSense({
  sense,
  number,
  names,
  makers,
  at,
  units,
}: { sense: Sense; number: number } & Pick<Props, 'names' | 'makers' | 'at' | 'units'>) {
  const words = sense.summary && describe(sense.summary, sense.colour);
  const best = bestProof(sense.proofs);
  const maker = best && makers.get(best.pieceId);
  return (
    <li>
      {best?.photo && (
        <a href={`${at}/photos/${best.photo.hash}`} className={css.photo}>
          <img
            src={`${at}/photos/${best.photo.hash}?width=320`}
            width={150}
            height={188}
            alt={`${best.label}, a proof of this sense, with a bracket beside it; open it at full size`}
          />
          <Strokes
            {...best.photo}
            strokes={best.area === null ? [zoneBracket(best.photo.frame, best.photo, best)] : []}
          />
        </a>
      )}
      <div>
        <p>
          <b>
            {number}. On {sense.ground}, {heatName(sense.cone)}, <Flame atmosphere={sense.atmosphere} />
          </b>
        </p>
        <p>{words?.look}</p>
        <p>Applied: {stackWords(sense.stack, (id) => names.get(id) ?? '?')}.</p>
        <p>It {words && sayMessage(words.moves, units)}.</p>
        <p>
          Defects:{' '}
          {sense.summary?.defects.length ? (
            <DefectLine
              defects={sense.summary.defects.map((one) => ({
                ...one,
                place: `${one.count} of ${sense.summary!.proofs}`,
              }))}
            />
          ) : (
            words?.defects
          )}
        </p>
        <p>
          <ProofMarks proofs={sense.summary?.proofs ?? 0} agreeing={sense.summary?.agreeing ?? 0} />{' '}
          {words?.proved}
          {maker && `; the piece shown is by ${maker}`}
        </p>
      </div>
    </li>
  );
}
