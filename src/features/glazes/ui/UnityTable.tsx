import { figures } from '@/core/units';
import { isOxide, oxidesOf, type AnalysisResult, type Oxides, type OxideRole } from '@/core/chemistry';
import { OxideName } from '@/ui/Oxide';
import css from './glaze.module.css';

/** Moles as a formula is written: two decimals, three for what is little. */
function moles(n: number): string {
  return n < 0.1 ? figures(n, 3) : figures(n, 2);
}

function Column({
  title,
  unity,
  roles,
}: {
  title: string;
  unity: Oxides;
  roles: readonly (readonly OxideRole[])[];
}) {
  const groups = roles
    .map((group) => group.flatMap(oxidesOf).filter((oxide) => (unity[oxide] ?? 0) > 0.0005))
    .filter((group) => group.length > 0);
  return (
    <div>
      <h3>{title}</h3>
      {groups.map((group) => (
        <dl key={group[0]}>
          {group.map((oxide) => (
            <div key={oxide}>
              <dt>
                <OxideName oxide={oxide} />
              </dt>
              <dd className="figures">{moles(unity[oxide]!)}</dd>
            </div>
          ))}
        </dl>
      ))}
      {groups.length === 0 && <p className="quiet">none</p>}
    </div>
  );
}

/** The unity formula as it is written: flux, stabiliser, glass former; boron and opacifiers apart, colour below. */
export function UnityTable({ analysis }: { analysis: AnalysisResult }) {
  const { unity, silicaAlumina, alkaliShare } = analysis;
  const colour = oxidesOf('colourant').filter((oxide) => (unity[oxide] ?? 0) > 0.0005);
  const other = Object.keys(unity).filter((oxide) => isOxide(oxide) && oxide === 'F');
  return (
    <section className={css.unity} aria-label="Unity formula">
      <Column title="Flux" unity={unity} roles={[['flux']]} />
      <Column title="Stabiliser" unity={unity} roles={[['stabiliser']]} />
      <Column title="Glass former" unity={unity} roles={[['glassFormer'], ['opacifier']]} />
      <p className={css.unityFoot}>
        {[...colour, ...other].map((oxide) => (
          <span key={oxide}>
            <OxideName oxide={oxide} /> <span className="figures">{moles(unity[oxide]!)}</span>
          </span>
        ))}
        <span>
          silica : alumina{' '}
          <b className="figures">{silicaAlumina === null ? '–' : figures(silicaAlumina, 2)}</b>
        </span>
        <span>
          alkalis{' '}
          <b className="figures">{alkaliShare === null ? '–' : `${(alkaliShare * 100).toFixed(0)} %`}</b> of
          the flux
        </span>
      </p>
    </section>
  );
}
