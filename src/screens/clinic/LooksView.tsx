import Link from 'next/link';
import { DEFECTS, type LookGroup } from '@/core/evidence';
import type { DefectCount } from '@/records/defectCounts';
import { DefectGlyph } from '@/ui/DefectGlyph';
import { GuideWords } from '@/ui/frame';
import css from './clinic.module.css';

const GROUPS: readonly (readonly [LookGroup, string])[] = [
  ['hole', 'Holes and bubbles'],
  ['crack', 'Cracks'],
  ['bare', 'Bare clay shows'],
  ['lump', 'Lumps'],
  ['flow', 'Flow and melt'],
  ['colour', 'Colour'],
  ['ware', 'The ware itself'],
];

/** Every defect by what the eye asks first, in plan and section, with what tells it from its likes and where the studio has it. */
export function LooksView({ counts }: { counts: ReadonlyMap<string, readonly DefectCount[]> }) {
  return (
    <>
      <GuideWords first={DEFECTS[0]!.name} last={DEFECTS.at(-1)!.name} />
      <h1>Find a defect by its look</h1>
      <p className="quiet" style={{ marginBottom: 20 }}>
        Left: seen from above. Right: cut through. Tap the one you see for its causes; below it: where your
        own pieces show it.
      </p>
      {GROUPS.map(([group, title]) => (
        <section key={group} className={css.group} aria-label={title}>
          <h2>{title}</h2>
          <ul className={css.looks}>
            {DEFECTS.filter((defect) => defect.group === group).map((defect) => (
              <li key={defect.id} id={defect.id} className={css.look}>
                <Link href={`/clinic/${defect.id}`}>
                  <DefectGlyph id={defect.id} size={58} labelled />
                  <h3>{defect.name}</h3>
                </Link>
                <p>{defect.look}</p>
                <p className="quiet">{defect.toldApart}</p>
                {defect.caution && <p className="heat small">{defect.caution}</p>}
                {counts
                  .get(defect.id)
                  ?.slice(0, 3)
                  .map((one) => (
                    <p key={one.headwordId} className="small">
                      <Link href={`/entry/${one.headwordId}`}>{one.text}</Link>{' '}
                      <span className="figures">{one.count}</span>
                    </p>
                  ))}
              </li>
            ))}
          </ul>
        </section>
      ))}
    </>
  );
}
