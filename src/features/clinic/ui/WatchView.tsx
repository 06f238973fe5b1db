import { counted } from '@/core/units';
import { DataTable } from '@/ui/kit';
import Link from 'next/link';
import { defectName } from '@/core/vocabulary';
import { shareWords, type Rise } from '@/core/evidence';
import type { Series } from '@/records/clinic';
import { DefectGlyph } from '@/ui/DefectGlyph';
import { GuideWords } from '@/ui/frame';
import { LinkButton } from '@/ui/LinkButton';
import { riseHref } from '../model/riseHref';
import { RiseChart } from './LazyRiseChart';
import css from './clinic.module.css';
import { riseWords } from '../model/words';

/** Defects over time: what rose, since when, and everything that stays as it was. */
export function WatchView({ series }: { series: readonly Series[] }) {
  const rising = series.filter(({ watched }) => watched.rise !== null);
  const steady = series.filter(({ watched }) => watched.rise === null);
  return (
    <>
      <GuideWords first="Clinic" last="Defects going up" />
      <h1>{rising.length ? `${counted(rising.length, 'defect')} going up` : 'No defect is going up'}</h1>
      <p className="quiet">
        Pieces with a plain defect, firing by firing. The line is the upper limit of what is usual, allowing
        for scatter between firings; each firing is judged by the others. A kiln or a clay is compared with
        what the glazes that were in it usually do. A rise may still come from what was tested: check whether
        other clays, coats or partner glazes started then.
      </p>
      {rising.map((one) => (
        <Risen key={keyOf(one)} series={one} rise={one.watched.rise!} />
      ))}
      <h2>As usual</h2>
      {steady.length === 0 ? (
        <p className="quiet">
          No defect has been marked often enough to be charted: four pieces, four firings.
        </p>
      ) : (
        <DataTable
          label="As usual"
          columns={[
            { name: 'Of', isSortable: true },
            { name: 'Defect', isSortable: true },
            { name: 'Usual', isSortable: true },
            { name: 'Above the line' },
          ]}
          rows={steady.map((one) => ({
            key: keyOf(one),
            cells: [
              <span key="of">
                {one.subject.words}
                {one.by === 'batch' && <span className="quiet">, by batch</span>}
              </span>,
              <Link key="defect" href={riseHref(one)}>
                {defectName(one.defect)}
              </Link>,
              <span key="usual" className="figures">
                {shareWords(one.watched.usual)}
              </span>,
              one.watched.samples
                .filter(({ isOut }) => isOut)
                .map(({ words, count, of }) => `${words}: ${count} of ${of}`)
                .join(', ') || (
                <span key="none" className="quiet">
                  none
                </span>
              ),
            ],
            values: [one.subject.words, defectName(one.defect), one.watched.usual.share],
          }))}
        />
      )}
    </>
  );
}

const keyOf = ({ defect, subject: about, by }: Series) => `${defect} ${about.kind} ${about.id} ${by}`;

function Risen({ series, rise }: { series: Series; rise: Rise }) {
  const { defect, subject: about, watched } = series;
  return (
    <section className={css.risen} aria-label={`${about.words}: ${defectName(defect)}`}>
      <DefectGlyph id={defect} size={52} labelled />
      <div>
        <h2>
          {about.words}: {defectName(defect)}
        </h2>
        <p>{riseWords(series, rise)}</p>
        <RiseChart watched={watched} />
        <LinkButton variant="contained" href={riseHref(series)}>
          Find out why
        </LinkButton>
      </div>
    </section>
  );
}
