import Link from 'next/link';
import type { ReactNode } from 'react';
import { GuideWords } from '@/ui/frame';
import { DefectGlyph } from '@/ui/DefectGlyph';
import { LinkButton } from '@/ui/LinkButton';
import { addressOf, type At } from '../model/address';
import { Causes } from './Causes';
import css from './clinic.module.css';
import type { Diagnosis } from '../server/diagnosisOf';
import { ForwardView } from './ForwardView';
import { lookAlikesOf } from '@/core/vocabulary';
import { Proofs } from './Proofs';
import type { GivenAnswer } from '../model/answers';
import { RecordVoice, TilesVoice, ToldVoice } from './Voices';

interface Props extends Diagnosis {
  readonly told: readonly GivenAnswer[];
  /** This page without answers. */
  readonly at: At;
  /** The case, or the button that opens one. */
  readonly children: ReactNode;
}

/** Why a piece has a defect: three voices kept apart, causes ranked with their reasons, what to look at next. */
export function DiagnosisView(props: Props) {
  const { defect, told, found, about, proofs, ranking, evidence, testAt, at, children } = props;
  const label = found?.piece.label;
  const here = (next: readonly GivenAnswer[]) => addressOf(at, next);
  const to = (piece: string) => addressOf({ path: `/clinic/${defect.id}`, label: piece }, told);
  return (
    <>
      <GuideWords first="Clinic" last={defect.name} />
      <div className={css.head}>
        <DefectGlyph id={defect.id} size={72} labelled />
        <div>
          <h1>
            {about ? (
              <>
                <Link href={about.href}>{about.words}</Link>: {defect.name}
              </>
            ) : label ? (
              <>
                <Link href={`/pieces/${label}`} className="figures">
                  {label}
                </Link>{' '}
                {defect.name}
              </>
            ) : (
              <>Why: {defect.name}</>
            )}
          </h1>
          <p>
            {defect.look}; {defect.toldApart}.
          </p>
          {defect.caution && <p className="heat small">{defect.caution}</p>}
          <p className="small">
            Not this?{' '}
            {lookAlikesOf(defect).map((one) => (
              <Link
                key={one.id}
                href={addressOf({ label, ...at, path: `/clinic/${one.id}` })}
                className={css.like}
              >
                <DefectGlyph id={one.id} size={22} labelled /> {one.name}: {one.toldApart}
              </Link>
            ))}
          </p>
        </div>
      </div>
      <Proofs pieces={proofs} label={label ?? null} at={to} />
      <section className={css.causes} aria-label="Causes">
        <Causes {...ranking} />
        {testAt && (
          <LinkButton variant="contained" href={testAt}>
            Test it in a round
          </LinkButton>
        )}
        {children}
      </section>
      <div className={css.voices}>
        <ToldVoice defect={defect} evidence={evidence} told={told} at={here} />
        <TilesVoice
          experiments={props.experiments}
          shelves={props.shelves}
          cures={props.cures}
          earlier={props.earlier}
        />
        <RecordVoice
          defect={defect}
          found={found}
          record={props.record}
          alike={props.alike}
          pieces={proofs}
          at={to}
        />
      </div>
      {props.forward && <ForwardView forward={props.forward} />}
    </>
  );
}
