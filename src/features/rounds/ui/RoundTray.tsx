'use client';
import Button from '@mui/material/Button';
import { counted, bulkOf, grams, sayQuantity, shelfAreaOf } from '@/core/units';
import { loadsOf, type NamedRecipe } from '@/core/rounds';
import { formShape, type Form } from '@/core/vocabulary';
import { FormErrors } from '@/ui/kit';
import { useUnits } from '@/ui/units';
import { partsOf } from '../model/parts';
import { named } from '../model/setup';
import css from './rounds.module.css';
import { Tray } from './Tray';
import { TrayCell } from './TrayCell';
import type { RoundMakerState } from './useRoundMaker';

interface Props {
  readonly of: RoundMakerState;
  readonly glazes: readonly NamedRecipe[];
  readonly bodies: readonly { readonly id: string; readonly name: string }[];
  readonly kilns: readonly { readonly name: string; readonly litres: number; readonly shelves: number }[];
}

/** The tests of a round as they will stand, what they need, and the button that plans them. */
export function RoundTray({ of, glazes, bodies, kilns }: Props) {
  const { setup, bodyId, plan, cells, aliases, isOut, proofOf, turn, errors, inside, needs, isBusy, save } =
    of;
  const parts = partsOf(
    cells.map((cell) => ({
      ...{ label: cell.label, row: cell.row, column: cell.column, test: cell },
      block: cell.block ?? 0,
      body: bodies.find(({ id }) => id === (cell.body ?? bodyId))?.name ?? '',
      texture: cell.texture ?? null,
      ...(cell.target ?? { cone: setup.cone, atmosphere: setup.atmosphere }),
    })),
  );
  return (
    <div className={css.result}>
      <h2>The tray</h2>
      {typeof plan === 'string' ? (
        <p className={css.empty}>{plan}</p>
      ) : (
        <div className={css.parts} data-many={parts.length > 1 || undefined}>
          {parts.map(({ words, cells: own }, i) => (
            <section key={i} aria-label={words ? `Part ${i + 1}` : undefined}>
              {words && <h3>{words}</h3>}
              <Tray
                cells={own}
                rows={plan.rows}
                columns={plan.columns}
                shape={plan.shape}
                name={words ? `Tray, ${words}` : 'Tray'}
              >
                {({ test: cell }) => (
                  <TrayCell
                    cell={cell}
                    words={named(cell.words, [...glazes, ...bodies])}
                    out={isOut(cell)}
                    proof={proofOf(cell)}
                    colours={Object.entries(cell.parts).map(([name, part]) => ({
                      colour: glazes.find((glaze) => glaze.id === name)?.colour ?? '#888888',
                      part,
                    }))}
                    onTurn={() => turn(cell)}
                  />
                )}
              </Tray>
            </section>
          ))}
        </div>
      )}
      {aliases.length > 0 && (
        <p>
          <b>This is a fraction of all combinations: these effects cannot be told apart.</b>{' '}
          {named(aliases.join('; '), [...glazes, ...bodies])}.
        </p>
      )}
      <Needs {...of} kilns={kilns} glazes={glazes} />
      <FormErrors errors={errors.filter((error) => error.field === '' || error.field.startsWith('cells'))} />
      <Button variant="contained" disabled={isBusy || inside.length === 0} onClick={() => void save()}>
        {isBusy ? 'Planning' : `Plan ${counted(needs.pieces, 'piece')}`}
      </Button>
    </div>
  );
}

type NeedsProps = Pick<RoundMakerState, 'setup' | 'piece' | 'inside' | 'needs'> &
  Pick<Props, 'kilns' | 'glazes'>;

/** Tests, pieces, clay, shelf, kiln loads and glaze that a round needs. */
function Needs({ setup, piece, inside, needs, kilns, glazes }: NeedsProps) {
  const units = useUnits();
  return (
    <>
      <div role="status">
        <dl className={css.totals}>
          <Total name="tests" value={String(inside.length)} />
          <Total name="pieces" value={String(needs.pieces)} />
          <Total name="clay" value={sayQuantity(bulkOf(needs.clayGrams), units)} />
          {needs.rings > 0 && (
            <Total
              name={`rings of ${sayQuantity(bulkOf(needs.ringGrams), units)}, ${needs.strips} strips each`}
              value={String(needs.rings)}
            />
          )}
          <Total name="shelf" value={sayQuantity(shelfAreaOf(needs.shelfCm2), units)} />
          {kilns.map((kiln) => (
            <Total
              key={kiln.name}
              name={`${loadsOf(needs.shelfCm2, kiln) === 1 ? 'load' : 'loads'} of ${kiln.name}`}
              value={String(inside.length ? loadsOf(needs.shelfCm2, kiln) : 0)}
            />
          ))}
        </dl>
      </div>
      {Object.keys(needs.glazeGrams).length > 0 && (
        <p className="small quiet">
          Dry glaze on the pieces:{' '}
          {Object.entries(needs.glazeGrams)
            .map(([name, dry]) =>
              dry === null
                ? `${named(name, glazes)} not known (a coat of unknown thickness)`
                : `${named(name, glazes)} ${sayQuantity(grams(dry), units)}`,
            )
            .join(', ')}
          . Estimated from {surfaceWords(piece.form, setup.isWaxed)} and thickness.
        </p>
      )}
    </>
  );
}

function Total({ name, value }: { name: string; value: string }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd className="figures">{value}</dd>
    </div>
  );
}

/** What of a piece the glaze on it is reckoned from. */
function surfaceWords(form: Form, isWaxed: boolean): string {
  if (!formShape(form).isFlat) return 'the surface';
  return isWaxed ? 'the face' : 'both faces and the edges where it is dipped';
}
