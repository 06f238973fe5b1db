'use client';
import { figures, shortFigures } from '@/core/units';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { cautionsOf, materialBook, type Material } from '@/core/chemistry';
import type { StudioMaterial } from '@/records/materials';
import { Acts, FormErrors, PageHeader, TwoColumns } from '@/ui/kit';
import { LinkButton } from '@/ui/LinkButton';
import { OxideName } from '@/ui/Oxide';
import css from '@/ui/cards.module.css';
import { useMutation } from '@/ui/useMutation';
import { saveAlias } from '../actions';
import { MaterialCard } from './MaterialCard';
import sheet from './materials.module.css';

interface Props {
  readonly own: readonly StudioMaterial[];
  /** The material being changed, by name; "new" for another; null for none. */
  readonly changing: string | null;
  /** A name to begin a new one with. */
  readonly name: string;
  /** Names of materials by what the studio calls them. */
  readonly aliases: Readonly<Record<string, string>>;
  readonly mayChange: boolean;
}

/** What is on the shelf: built-in materials and the studio's own, with analysis, loss in the fire and cautions. */
export function MaterialsView({ own, changing, name, aliases, mayChange }: Props) {
  const [wanted, setWanted] = useState('');
  const book = useMemo(() => materialBook(own), [own]);
  const shown = book.materials.filter((material) =>
    material.name.toLowerCase().includes(wanted.trim().toLowerCase()),
  );
  const chosen = changing === null ? undefined : book.find(changing);
  const open = mayChange && changing !== null;
  return (
    <>
      <PageHeader first={shown[0]?.name ?? 'Materials'} last={shown.at(-1)?.name}>
        <h1>Materials</h1>
        <TextField
          label="Name"
          value={wanted}
          onChange={(event) => setWanted(event.target.value)}
          sx={{ maxWidth: 260 }}
        />
        <Acts>
          <LinkButton href="/glazes">Glazes</LinkButton>
          {mayChange && (
            <LinkButton variant="contained" href="/glazes/materials?change=new">
              Add a material
            </LinkButton>
          )}
        </Acts>
      </PageHeader>
      <p className="small quiet" style={{ marginBottom: 12 }}>
        Plain names are theoretical formulas; “typical” ones are analyses from memory. Put your supplier’s
        analysis in their place: everything is calculated again with it.
      </p>
      <Aliases aliases={aliases} mayChange={mayChange} />
      <TwoColumns
        at="right"
        aside={
          open && (
            <MaterialCard
              key={changing}
              material={chosen ?? null}
              own={own.find((one) => one.name === chosen?.name) ?? null}
              name={name}
            />
          )
        }
      >
        <ul className={css.list}>
          {shown.length === 0 && <li className={css.empty}>No material matches.</li>}
          {shown.map((material) => (
            <Row
              key={material.name}
              material={material}
              own={own.some((one) => one.name === material.name)}
              mayChange={mayChange}
            />
          ))}
        </ul>
      </TwoColumns>
    </>
  );
}

/** What the studio calls materials beside their names; a teacher may take a name back. */
function Aliases({ aliases, mayChange }: Pick<Props, 'aliases' | 'mayChange'>) {
  const { run, isBusy, errors } = useMutation();
  const count = Object.keys(aliases).length;
  if (count === 0) return null;
  return (
    <details className={sheet.aliases}>
      <summary>{count === 1 ? 'One name' : `${count} names`} of your own for materials</summary>
      <ul>
        {Object.entries(aliases).map(([name, material]) => (
          <li key={name}>
            <span>
              <b>{name}</b> means {material}
            </span>
            {mayChange && (
              <Button
                size="small"
                disabled={isBusy}
                onClick={() => void run(() => saveAlias({ name, material: null }))}
              >
                Forget “{name}”
              </Button>
            )}
          </li>
        ))}
      </ul>
      <FormErrors errors={errors} />
    </details>
  );
}

function Row({ material, own, mayChange }: { material: Material; own: boolean; mayChange: boolean }) {
  const cautions = cautionsOf(material);
  const link = `/glazes/materials?change=${encodeURIComponent(material.name)}`;
  return (
    <li className={sheet.row}>
      <span>
        <b className={css.name}>
          {mayChange ? (
            <Link href={link} scroll={false}>
              {material.name}
            </Link>
          ) : (
            material.name
          )}
        </b>
        <span className="small quiet">
          {own ? `your own: ${material.source || 'no source'}` : material.source}
        </span>
      </span>
      <span>
        <span className={sheet.analysis}>
          {Object.entries(material.analysis)
            .sort((a, b) => b[1] - a[1])
            .map(([oxide, percent]) => (
              <span key={oxide}>
                <OxideName oxide={oxide} /> <span className="figures">{shortFigures(percent, 1)}</span>
              </span>
            ))}
          {material.loi > 0.05 && (
            <span className="quiet">
              LOI <span className="figures">{figures(material.loi, 1)}</span>
            </span>
          )}
        </span>
        {cautions.length > 0 && <span className={sheet.caution}>{cautions.join(' ')}</span>}
      </span>
    </li>
  );
}
