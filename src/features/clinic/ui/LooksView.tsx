import Link from 'next/link';
import { DEFECTS, defectName, type LookGroup, lookAlikesOf } from '@/core/vocabulary';
import type { ClinicCase } from '@/records/clinic';
import type { DefectCount } from '@/records/dictionary';
import { DefectGlyph } from '@/ui/DefectGlyph';
import { GuideWords } from '@/ui/frame';
import { LinkButton } from '@/ui/LinkButton';
import { addressOf, type At } from '../model/address';
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
export function LooksView({
  counts,
  cases,
  subject,
}: {
  counts: ReadonlyMap<string, readonly DefectCount[]>;
  cases: readonly ClinicCase[];
  /** The piece, or the wider thing, that is looked at. */
  subject: Omit<At, 'path'>;
}) {
  return (
    <>
      <GuideWords first={DEFECTS[0]!.name} last={DEFECTS.at(-1)!.name} />
      {cases.length > 0 && !subject.label && !subject.about && (
        <section aria-label="Cases">
          <h2>Cases</h2>
          <ul className={css.cases}>
            {cases.map((one) => (
              <li key={one.id}>
                <Link href={`/clinic/cases/${one.id}`}>
                  Case {one.number}: {defectName(one.defect)}
                  {one.label && ` on ${one.label}`}
                </Link>{' '}
                <span className="quiet">
                  {one.closedAt ? `closed: ${one.helped}` : `open, ${one.tries.length} tried`}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <div className={css.findHead}>
        <h1>{subject.label ? `What is it on ${subject.label}?` : 'Find a defect by its look'}</h1>
        {!subject.label && !subject.about && <LinkButton href="/clinic/watch">Defects going up</LinkButton>}
      </div>
      <nav className={css.asks} aria-label="What do you see?">
        {GROUPS.map(([group, title]) => (
          <a key={group} href={`#${group}`}>
            <DefectGlyph id={DEFECTS.find((defect) => defect.group === group)!.id} size={30} labelled />
            {title}
          </a>
        ))}
      </nav>
      <p className="quiet" style={{ marginBottom: 20 }}>
        Left: from above. Right: cut through. Tap the one you see for its causes. Below each: what it is often
        mistaken for, and which of your pieces show it.
      </p>
      {GROUPS.map(([group, title]) => (
        <section key={group} id={group} className={css.group} aria-label={title}>
          <h2>{title}</h2>
          <ul className={css.looks}>
            {DEFECTS.filter((defect) => defect.group === group).map((defect) => (
              <li key={defect.id} id={defect.id} className={css.look}>
                <Link href={addressOf({ path: `/clinic/${defect.id}`, ...subject })}>
                  <DefectGlyph id={defect.id} size={84} labelled />
                  <h3>{defect.name}</h3>
                </Link>
                <p>{defect.look}</p>
                <p className="quiet">{defect.toldApart}</p>
                {lookAlikesOf(defect).map((one) => (
                  <Link
                    key={one.id}
                    href={addressOf({ path: `/clinic/${one.id}`, ...subject })}
                    className={css.taken}
                  >
                    <DefectGlyph id={one.id} size={26} labelled />
                    <span>
                      or {one.name}? {one.toldApart}
                    </span>
                  </Link>
                ))}
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
