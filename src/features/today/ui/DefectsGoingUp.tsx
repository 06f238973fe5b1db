import Link from 'next/link';
import { defectName } from '@/core/vocabulary';
import type { Series } from '@/records/clinic';
import { riseHref } from '@/features/clinic';
import css from './today.module.css';

/** Rises shown; the others stand on their own page. */
const SHOWN = 3;

/** Defects that there are more of than before, the surest first, each to the reasons. */
export function DefectsGoingUp({ series }: { series: readonly Series[] }) {
  const rising = series.flatMap((one) => (one.watched.rise ? [{ ...one, rise: one.watched.rise }] : []));
  if (rising.length === 0) return null;
  return (
    <section aria-label="Defects going up">
      <h2 className={css.heading}>
        Defects going up{' '}
        <Link href="/clinic/watch" className={`figures ${css.count}`}>
          {rising.length}
        </Link>
      </h2>
      <ul>
        {rising.slice(0, SHOWN).map((one) => (
          <li key={`${one.defect} ${one.subject.id} ${one.by}`} className={css.round}>
            <Link href={riseHref(one)}>
              {one.subject.words}: {defectName(one.defect)}
            </Link>
            <span className="quiet small">
              {one.rise.after.count} of {one.rise.after.of} since {one.watched.samples[one.rise.at]!.words},
              before {one.rise.before.count} of {one.rise.before.of}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
