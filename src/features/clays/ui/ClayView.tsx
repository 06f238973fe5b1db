import { Fold } from '@/ui/Fold';
import { figures, shortFigures } from '@/core/units';
import { WhoChanged } from '@/ui/WhoChanged';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { basisWords, bodyFigure, VERDICTS, type Calibration, type Verdict } from '@/core/fit';
import type { Body, StudioTile } from '@/records/materials';
import { TitleRow } from '@/ui/kit';
import { GuideWords } from '@/ui/frame';
import { PerKelvin } from '@/ui/Oxide';
import { BodyCard } from './BodyCard';
import { FitEvidence } from './FitEvidence';
import type { Judged } from '../model/judge';
import { bodyWords } from '../model/bodyWords';
import css from './clay.module.css';

interface Props {
  readonly body: Body;
  readonly calibration: Calibration | null;
  readonly tiles: readonly StudioTile[];
  readonly judged: readonly Judged[];
  readonly dips: number;
  /** Notes for the next time. */
  readonly nextTime: ReactNode;
  readonly mayChange: boolean;
}

const TITLES: Readonly<Record<Verdict, string>> = {
  crazes: 'Craze',
  'crazes later': 'Craze later',
  fits: 'Fit',
  'may shiver': 'May shiver',
};

/** One clay: what is known of it, what the studio's tiles taught, and which glazes fit, craze and shiver on it. */
export function ClayView({ body, calibration, tiles, judged, dips, nextTime, mayChange }: Props) {
  const figure = bodyFigure(body.expansion, calibration);
  const unjudged = judged.filter((glaze) => !glaze.band);
  return (
    <>
      <GuideWords first={body.name} />
      <header className={css.head}>
        <Fired colour={body.colourOxidation} word="oxidation" />
        <Fired colour={body.colourReduction} word="reduction" />
        <div>
          <h1>{body.name}</h1>
          <p className="quiet">{bodyWords(body)}</p>
          <p>{body.note}</p>
        </div>
        <dl className={css.facts}>
          <Fact name="Shrinks" value={body.shrinkage} unit="%" />
          <Fact name="Absorbs" value={body.absorption} unit="%" />
          <Fact name="Expansion, sheet" value={body.expansion} unit={<PerKelvin />} />
          <Fact
            name="Expansion, your tiles"
            value={calibration?.enough ? calibration.limit.value : null}
            unit={<PerKelvin />}
          />
        </dl>
      </header>
      {nextTime}
      <FitEvidence calibration={calibration} measured={body.expansion} tiles={tiles} />
      <section className={css.glazes} aria-labelledby="on-it">
        <TitleRow>
          <h2 id="on-it">Glazes on it</h2>
          <nav aria-label="Thickness" className={css.thickness}>
            {[1, 2].map((n) => (
              <Link
                key={n}
                href={`/clays/${body.id}?dips=${n}`}
                aria-current={n === dips ? 'true' : undefined}
                scroll={false}
              >
                {n === 1 ? 'dipped once' : 'dipped twice'}
              </Link>
            ))}
          </nav>
        </TitleRow>
        {!figure ? (
          <p>Neither its sheet nor your tiles give its expansion yet, so no fit can be calculated here.</p>
        ) : (
          <div className={css.columns}>
            {VERDICTS.map((verdict) => (
              <Column
                key={verdict}
                title={TITLES[verdict]}
                glazes={judged.filter((glaze) => glaze.band?.verdict === verdict)}
              />
            ))}
          </div>
        )}
        {figure && (
          <p className="small quiet">
            Calculated; {basisWords(figure)}. A question mark stands where the band of ±{' '}
            {figures(figure.miss, 2)} could change the verdict. Tiles outrank the calculation.
          </p>
        )}
        {unjudged.length > 0 && (
          <p className="small">Not judged: {unjudged.map((glaze) => glaze.name).join(', ')} (no recipe).</p>
        )}
      </section>
      {mayChange && (
        <Fold className={css.change} title="Edit details">
          <BodyCard key={body.version} body={body} />
        </Fold>
      )}
      <WhoChanged id={body.id} />
    </>
  );
}

function Fired({ colour, word }: { colour: string; word: string }) {
  return (
    <figure className={css.fired}>
      <span style={{ background: colour }} />
      <figcaption className="small">{word}</figcaption>
    </figure>
  );
}

function Fact({ name, value, unit }: { name: string; value: number | null; unit: ReactNode }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>
        {value === null ? (
          <span className="quiet">not known</span>
        ) : (
          <>
            <b className="figures">{shortFigures(value, 2)}</b> {unit}
          </>
        )}
      </dd>
    </div>
  );
}

function Column({ title, glazes }: { title: string; glazes: readonly Judged[] }) {
  return (
    <div>
      <h3>{title}</h3>
      <ul>
        {glazes.length === 0 && <li className="quiet">none</li>}
        {glazes.map(({ id, name, colour, band, crazed, sound }) => (
          <li key={id}>
            <span className={css.chip} style={{ background: colour }} />
            <span>
              <Link href={`/glazes/${id}`}>{name}</Link>
              {!band!.sure && <span aria-label=", not sure"> ?</span>}
              {crazed + sound > 0 && (
                <small>
                  {crazed} crazed, {sound} sound
                </small>
              )}
            </span>
            <span className="figures">
              {band!.mismatch > 0 ? '+' : '−'}
              {figures(Math.abs(band!.mismatch), 2)}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}
