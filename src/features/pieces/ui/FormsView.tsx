import Link from 'next/link';
import { lengthOf, text } from '@/core/units';
import { FORMS, formShape } from '@/core/vocabulary';
import type { StudioForm } from '@/records/pieces';
import { Acts, PageHeader } from '@/ui/kit';
import { LinkButton } from '@/ui/LinkButton';
import { Silhouette } from '@/ui/silhouette';
import { Said } from '@/ui/units';
import { ArchivedForms } from './ArchivedForms';
import css from './forms.module.css';

const CLAY = '#d9c9ac';

/** The studio's own forms, and those of the library. */
export function FormsView({
  forms,
  archived,
  mayChange,
}: {
  readonly forms: readonly StudioForm[];
  readonly archived: readonly Pick<StudioForm, 'id' | 'name'>[];
  readonly mayChange: boolean;
}) {
  return (
    <>
      <PageHeader first="Forms">
        <h1>Forms</h1>
        <Acts>
          <LinkButton href="/pieces">Pieces</LinkButton>
          {mayChange && (
            <LinkButton variant="contained" href="/pieces/forms/new">
              Add a form
            </LinkButton>
          )}
        </Acts>
      </PageHeader>
      <h2 className={css.heading}>The studio’s own</h2>
      {forms.length === 0 ? (
        <p>
          {mayChange
            ? 'No form yet. Draw the silhouette of what you make, or trace it from a photo: its bands, areas and amounts of glaze are then right.'
            : 'No form yet. A teacher can add one.'}
        </p>
      ) : (
        <div className={css.grid}>
          {forms.map((form) => (
            <Link
              key={form.id}
              href={mayChange ? `/pieces/forms/${form.id}` : `/pieces/new?form=${form.id}`}
              className={css.cell}
            >
              <Silhouette {...form} bodyColour={CLAY} coats={[]} size={86} title="" />
              <b>{form.name}</b>
              <span className="small quiet">
                <Said of={text`${lengthOf(form.heightMm)} × ${lengthOf(form.widthMm)}`} />
              </span>
            </Link>
          ))}
        </div>
      )}
      <h2 className={css.heading}>Library</h2>
      <div className={css.grid}>
        {FORMS.map((form) => (
          <Link
            key={form}
            href={
              mayChange
                ? `/pieces/forms/new?like=${encodeURIComponent(form)}`
                : `/pieces/new?form=${encodeURIComponent(form)}`
            }
            className={css.cell}
          >
            <Silhouette
              form={form}
              heightMm={formShape(form).heightMm}
              widthMm={formShape(form).widthMm}
              bodyColour={CLAY}
              coats={[]}
              size={86}
              title=""
            />
            <b>{form}</b>
          </Link>
        ))}
      </div>
      {mayChange && archived.length > 0 && <ArchivedForms forms={archived} />}
    </>
  );
}
