import { WhoChanged } from '@/ui/WhoChanged';
import { lengthOf, text } from '@/core/units';
import { Said } from '@/ui/units';
import Link from 'next/link';
import { whereWords, stackWords, rimFirst } from '@/core/coats';
import { AGAIN_FATES, PLAIN_SEVERITY, defectName, reasonName, heatName } from '@/core/vocabulary';
import type { FiredZone, PieceFiring, PiecePage } from '@/records/pieces';
import { shortDay, studioTime } from '@/core/time';
import { DefectLine } from '@/ui/DefectLine';
import { drawnPiece } from '@/ui/drawn';
import { Flame } from '@/ui/Flame';
import { GuideWords } from '@/ui/frame';
import { LinkButton } from '@/ui/LinkButton';
import { PickUp } from '@/ui/PickUp';
import { ProofMarks } from '@/ui/ProofMarks';
import { WhyThisNumber } from '@/ui/WhyThisNumber';
import { Swatch } from '@/ui/Swatch';
import { countWords } from '@/ui/countWords';
import { orderWords } from '@/ui/orderWords';
import { AddPhoto } from './AddPhoto';
import { AgainstModel } from './AgainstModel';
import { ageInWords } from '../model/late';
import { ExpectPanel } from './ExpectPanel';
import { LateLook } from './LateLook';
import { textureWords } from '../model/textureWords';
import type { Maker } from '../model/makers';
import { MakerField } from './MakerField';
import { PatternPanel } from './PatternPanel';
import { PiecePhotos } from './PiecePhotos';
import { SetPanel } from './SetPanel';
import { WarePanel } from './WarePanel';
import css from './piece.module.css';

/** One piece: its photo, what is on it, what each firing made of it. */
export function PieceView({
  piece,
  model,
  mayChange,
  mayTeach,
  makers,
  now,
}: {
  piece: PiecePage;
  /** The piece that it was made after. */
  model: PiecePage | null;
  mayChange: boolean;
  /** Whether photos may be removed and moved. */
  mayTeach: boolean;
  /** Who may have made it; empty for who may not say so. */
  makers: readonly Maker[];
  now: Date;
}) {
  const nameOf = (id: string) => piece.coats.find((coat) => coat.glazeId === id)?.glazeName ?? '?';
  const drawing = drawnPiece(piece);
  const last = piece.firings.at(-1);
  return (
    <>
      <GuideWords first={piece.label} />
      <PieceHead piece={piece} mayChange={mayChange} />
      {piece.hasOldLengths && (
        <p className="heat">
          Check the lengths: bands of plates are measured from the centre to the rim, and these were measured
          across.
        </p>
      )}
      <div className={css.columns}>
        <div>
          <PiecePhotos piece={piece} drawing={drawing} mayChange={mayChange} mayRemove={mayTeach} />
          {mayChange && <AddPhoto pieceId={piece.id} firingId={last?.firingId ?? null} />}
          <WarePanel piece={piece} mayChange={mayChange} />
          <SetPanel piece={piece} mayChange={mayChange} />
          {mayChange && piece.coats.length > 0 && <PatternPanel pieceId={piece.id} />}
          {mayChange && isComing(piece) && <ExpectPanel key={piece.expectation} piece={piece} />}
          {makers.length > 0 && <MakerField piece={piece} makers={makers} />}
        </div>
        <div>
          {model && <AgainstModel piece={piece} model={model} />}
          {[...piece.firings].reverse().map((firing) => (
            <FiringResult key={firing.firingId} firing={firing} nameOf={nameOf} piece={piece} now={now} />
          ))}
          {(piece.firings.length === 0 || piece.coats.some((coat) => coat.firingId === null)) && (
            <section className={css.firing}>
              <h2>Not fired yet</h2>
              <ul>
                {rimFirst(piece.planned).map((zone) => (
                  <li key={`${zone.area ?? zone.side}${zone.from}`} className={css.planned}>
                    <span className="quiet small">
                      <Said of={whereWords(zone, piece)} />
                    </span>
                    <span>{stackWords(zone.stack, nameOf)}</span>
                  </li>
                ))}
              </ul>
            </section>
          )}
          {piece.ownNumber && (
            <section className={css.firing}>
              <h2>Own number</h2>
              <p className="figures">{piece.ownNumber}</p>
            </section>
          )}
          {piece.note && (
            <section className={css.firing}>
              <h2>Note</h2>
              <p>{piece.note}</p>
            </section>
          )}
          {piece.followers.length > 0 && (
            <section className={css.firing}>
              <h2>Made like it</h2>
              <p className={css.twins}>
                {piece.followers.map((one) => (
                  <Link key={one.id} href={`/pieces/${one.label}`} className="figures">
                    {one.label}
                  </Link>
                ))}
              </p>
            </section>
          )}
          {piece.twins.length > 0 && (
            <section className={css.firing}>
              <h2>Twins</h2>
              <p className={css.twins}>
                {piece.twins.map((twin) => (
                  <Link key={twin.id} href={`/pieces/${twin.label}`} className="figures">
                    {twin.label}
                  </Link>
                ))}
              </p>
            </section>
          )}
        </div>
      </div>
    </>
  );
}

/** Whether the piece waits for a firing, or is in one. */
function isComing({ stage, fate }: PiecePage): boolean {
  return stage === 'read' ? fate !== null && AGAIN_FATES.includes(fate) : stage !== 'fired';
}

function PieceHead({ piece, mayChange }: { piece: PiecePage; mayChange: boolean }) {
  return (
    <div className={css.head}>
      <h1 className="figures">{piece.label}</h1>
      <p className="quiet">
        {piece.isDescribed ? (
          <>
            {piece.formName ?? piece.form},{' '}
            <Said of={text`${lengthOf(piece.heightMm)} × ${lengthOf(piece.widthMm)}`} />,{' '}
            <Link href={`/pieces?body=${piece.bodyId}`}>{piece.body}</Link>, made by {piece.maker} on{' '}
            {shortDay(piece.madeAt)}
          </>
        ) : (
          <>
            Not described yet, so it proves nothing.{' '}
            {piece.firings.length > 0 ? 'Found at an opening' : 'Photographed'} by {piece.maker} on{' '}
            {shortDay(piece.madeAt)}
          </>
        )}
        {textureWords(piece) && `; ${textureWords(piece)}`}; {piece.stage}
        {piece.fate && (
          <>
            , fate <b style={{ color: 'var(--ink)' }}>{piece.fate}</b>
          </>
        )}
        {piece.order && (
          <>
            ; for <Link href={`/orders/${piece.order.id}`}>{piece.order.name}</Link>:{' '}
            {orderWords(piece.order)}
          </>
        )}
        {piece.group && `; for ${piece.group}`}
      </p>
      <div className={css.acts}>
        <PickUp piece={{ id: piece.id, label: piece.label, photoHash: piece.photoHash }} hotkey />
        <LinkButton href={`/make?piece=${piece.label}`}>Make it again</LinkButton>
        {mayChange && (
          <LinkButton
            href={`/pieces/${piece.label}/edit`}
            {...(!piece.isDescribed && { variant: 'contained' as const })}
          >
            {piece.isDescribed ? 'Correct' : 'Describe it'}
          </LinkButton>
        )}
        <WhoChanged id={piece.id} isOwn={mayChange} />
      </div>
    </div>
  );
}

function FiringResult({
  firing,
  nameOf,
  piece,
  now,
}: {
  firing: PieceFiring;
  nameOf: (id: string) => string;
  piece: PiecePage;
  now: Date;
}) {
  const days = Math.max(0, Math.floor(studioTime(now).diff(studioTime(firing.day), 'days').days) - 1);
  return (
    <section className={css.firing}>
      <h2>
        <Link href={`/firings/${firing.firingId}`}>
          {firing.kiln} {firing.number}
        </Link>
      </h2>
      <p className="quiet">
        {firing.kind}, {heatName(firing.cone)}, <Flame atmosphere={firing.atmosphere} />,{' '}
        {shortDay(firing.day)}, shelf {firing.shelf}; {firing.state}
      </p>
      {firing.expected && (
        <p>
          Expected: <b>{firing.expected}</b>
        </p>
      )}
      {firing.outcomes.map(({ reason, outcome }) => (
        <p key={reason}>
          Came back for {reasonName(reason)}: <b>{outcome}</b>
        </p>
      ))}
      <ul>
        {rimFirst(firing.zones).map((zone) => (
          <ZoneResult key={zone.id} zone={zone} nameOf={nameOf} piece={piece} />
        ))}
      </ul>
      <div className={css.tools}>
        {(firing.state === 'cooling' || firing.state === 'open' || firing.state === 'closed') && (
          <LinkButton size="small" href={`/firings/${firing.firingId}/opening?piece=${piece.id}`}>
            {firing.zones.some((zone) => zone.readings.length) ? 'Record again' : 'Record now'}
          </LinkButton>
        )}
        {firing.zones.length > 0 && (
          <LinkButton size="small" href={`/clinic?piece=${piece.label}`}>
            What went wrong? Find a defect by its look
          </LinkButton>
        )}
      </div>
      {firing.zones.some((zone) => zone.readings.length) && (
        <LateLook piece={piece} firing={firing} days={days} />
      )}
    </section>
  );
}

function ZoneResult({
  zone,
  nameOf,
  piece,
}: {
  zone: FiredZone;
  nameOf: (id: string) => string;
  piece: PiecePage;
}) {
  const plain = (zone.readings.find((reading) => !reading.ended)?.defects ?? []).filter(
    ({ severity }) => severity >= PLAIN_SEVERITY,
  );
  const live = zone.readings.find((reading) => !reading.ended);
  const before = zone.readings.filter((reading) => reading.ended);
  return (
    <li className={css.zone}>
      <Swatch hash={zone.swatchHash} colour={live?.colour ?? zone.colour} width={72} height={54} />
      <div>
        <p>
          {zone.headwordId === null ? (
            <b>{zone.headword}</b>
          ) : (
            <>
              <Link href={`/entry/${zone.headwordId}`} className={css.headword}>
                {zone.headword}
              </Link>{' '}
              <span className="quiet small">
                <Said of={whereWords(zone, piece)} />; {stackWords(zone.stack, nameOf)}; on {zone.ground}
              </span>
            </>
          )}
        </p>
        {live ? (
          <p>
            {[live.surface, live.movement].filter(Boolean).join(', ')}{' '}
            {live.defects.length > 0 && <DefectLine defects={live.defects} />}
            {plain.map(({ defect }) => (
              <Link key={defect} href={`/clinic/${defect}?piece=${piece.label}`} className={css.why}>
                why {defectName(defect)}?
              </Link>
            ))}
            {live.ageDays !== null && <span className="quiet"> after {ageInWords(live.ageDays)}</span>}
            {live.note && <i> “{live.note}”</i>}
            <span className="quiet small">
              {' '}
              ({live.by}, {shortDay(live.at)})
            </span>
          </p>
        ) : (
          <p className="quiet">not recorded yet</p>
        )}
        {before.map((reading) => (
          <p key={reading.id} className="quiet small">
            before: {[reading.surface, reading.movement].filter(Boolean).join(', ')}{' '}
            <DefectLine defects={reading.defects} />
            {reading.defects.length === 0 && 'no defect'} ({reading.by}, {shortDay(reading.at)})
          </p>
        ))}
        {zone.counts.map((count) => (
          <p key={count.id} className="small">
            Counted: {countWords(count)}
          </p>
        ))}
        {zone.proofs > 0 && (
          <p className="small quiet">
            <ProofMarks proofs={zone.proofs} agreeing={zone.agreeing} height={11} isSaidBeside />{' '}
            <WhyThisNumber>
              {zone.proofs === 1 ? 'one piece' : `${zone.agreeing} of ${zone.proofs} pieces agree`}
            </WhyThisNumber>
          </p>
        )}
      </div>
    </li>
  );
}
