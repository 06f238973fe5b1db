'use client';
import ArrowBack from '@mui/icons-material/ArrowBack';
import ArrowForward from '@mui/icons-material/ArrowForward';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { placeWords } from '@/core/coats';
import { DEFECTS, FATES, MOVEMENTS, PLACES, SURFACES, type DefectId } from '@/core/evidence';
import type { Firing } from '@/records/firings';
import type { OpeningPiece } from '@/records/openings';
import { DefectGlyph } from '@/ui/DefectGlyph';
import { drawnPiece } from '@/ui/drawn';
import { Faults } from '@/ui/Faults';
import { GuideWords } from '@/ui/frame';
import { ColourField } from '@/ui/ColourField';
import type { ReadingDraft } from '@/records/readings';
import { sendPhoto } from '@/ui/sendPhoto';
import { Silhouette } from '@/ui/Silhouette';
import { Theirs } from '@/ui/Theirs';
import { useAct } from '@/ui/useAct';
import { useKept } from '@/ui/useKept';
import { savePieceReading } from './actions';
import {
  followed,
  gradeLast,
  nothingSaid,
  placeDefect,
  readingOf,
  tapDefect,
  toSend,
  withReading,
  type Said,
} from './draft';
import css from './opening.module.css';

const COMMON: readonly DefectId[] = [
  'pinholing',
  'pitting',
  'blistering',
  'crazing',
  'crawling',
  'running',
  'underfired',
  'slip-lifting',
  'speck',
];
const SEVERITY = ['', 'only when looked for', 'plain', 'spoils it'];

/** The walk through a cooled kiln: one piece fills the screen, top shelf first. */
export function OpeningView({
  firing,
  pieces,
  start,
}: {
  firing: Firing;
  pieces: readonly OpeningPiece[];
  start: string | null;
}) {
  const router = useRouter();
  const first = Math.max(
    0,
    start
      ? pieces.findIndex((piece) => piece.id === start)
      : pieces.findIndex((piece) => piece.state === 'loaded'),
  );
  const [at, setAt] = useState(first);
  const piece = pieces[at];
  const done = pieces.filter((one) => one.state !== 'loaded').length;
  useHotkeys('left', () => setAt(Math.max(0, at - 1)));
  useHotkeys('right', () => setAt(Math.min(pieces.length - 1, at + 1)));
  const next = () => {
    router.refresh();
    setAt(Math.min(pieces.length - 1, at + 1));
  };
  if (!piece) return <p>Nothing was put in this firing.</p>;
  return (
    <>
      <GuideWords first={`${firing.kilnName} ${firing.number}`} last={piece.label} />
      <div className={css.bar}>
        <Link href={`/firings/${firing.id}`}>
          {firing.kilnName} {firing.number}
        </Link>
        <span className="quiet">
          shelf {piece.shelf}, <span className="figures">{at + 1}</span> of{' '}
          <span className="figures">{pieces.length}</span>; {done} read
        </span>
        <span className={css.step}>
          <Button onClick={() => setAt(Math.max(0, at - 1))} disabled={at === 0} aria-label="Piece before">
            <ArrowBack />
          </Button>
          <Button
            onClick={() => setAt(Math.min(pieces.length - 1, at + 1))}
            disabled={at === pieces.length - 1}
            aria-label="Piece after"
          >
            <ArrowForward />
          </Button>
        </span>
      </div>
      <PieceReader
        key={piece.id}
        firing={firing}
        piece={piece}
        last={at === pieces.length - 1}
        onDone={next}
      />
    </>
  );
}

function PieceReader({
  firing,
  piece,
  last,
  onDone,
}: {
  firing: Firing;
  piece: OpeningPiece;
  last: boolean;
  onDone: () => void;
}) {
  const [said, setSaid, found, drop] = useKept<Said>(
    `jiten.opening.${firing.id}.${piece.id}`,
    nothingSaid(piece),
  );
  const [chosen, setChosen] = useState(piece.zones.at(-1)?.id ?? '');
  const [more, setMore] = useState(false);
  const [photo, setPhoto] = useState<string | null>(null);
  const file = useRef<HTMLInputElement>(null);
  const { act, busy, faults, theirs } = useAct();
  const zone = piece.zones.find((one) => one.id === chosen) ?? piece.zones[0];
  const reading = useMemo(() => (zone ? readingOf(said, zone) : null), [said, zone]);
  const change = (part: Partial<ReadingDraft>) =>
    setSaid((before) => (zone ? withReading(before, zone, part) : before));
  const save = async (what: Said = said) => {
    const saved = await act(() => savePieceReading(toSend(piece, firing.id, what)));
    if (saved !== null) return;
    drop();
    onDone();
  };
  useHotkeys('mod+enter', () => void save(), { enableOnFormTags: true });
  useHotkeys('1,2,3', (event) => change({ defects: gradeLast(reading!, Number(event.key) as 1 | 2 | 3) }), {
    enabled: Boolean(reading?.defects.length),
  });
  const take = async (picked: File | undefined) => {
    if (!picked) return;
    setPhoto('Storing the photo');
    setPhoto((await sendPhoto(picked, piece.id, firing.id)) ?? 'Photo stored');
  };
  const choice = <T extends string>(
    label: string,
    options: readonly T[],
    value: T | null,
    pick: (value: T) => void,
  ) => (
    <div className={css.choice} data-few={options.length <= 3 || undefined} role="group" aria-label={label}>
      {options.map((option) => (
        <button key={option} type="button" aria-pressed={value === option} onClick={() => pick(option)}>
          {option}
        </button>
      ))}
    </div>
  );
  if (!zone || !reading) return <p>This piece has no zones.</p>;
  const shown = more
    ? DEFECTS.map((defect) => defect.id)
    : [...new Set([...COMMON, ...reading.defects.map((one) => one.defect)])];
  return (
    <article className={css.piece}>
      <div className={css.figure}>
        <Silhouette
          {...drawnPiece(piece)}
          size={Math.min(210, (190 * piece.heightMm) / piece.widthMm)}
          lit={zone}
        />
        <div className={css.zones} role="group" aria-label="Zones">
          {[...piece.zones].reverse().map((one) => (
            <button
              key={one.id}
              type="button"
              aria-pressed={one.id === zone.id}
              onClick={() => setChosen(one.id)}
            >
              <b>{one.headword}</b>
              <span>
                {one.side !== 'outside' && `${one.side}, `}
                {placeWords(one)}
              </span>
            </button>
          ))}
        </div>
      </div>
      <div className={css.read}>
        <h1>
          <span className="figures">{piece.label}</span>
        </h1>
        <p className="quiet">
          {zone.expected && zone.expected.proofs > 0
            ? `Expected: ${[zone.expected.surface, ...zone.expected.defects.map((one) => `${one.defect} ${one.count} of ${zone.expected!.proofs}`)].filter(Boolean).join(', ')}`
            : 'New: nothing is known of this yet.'}
        </p>
        {choice('Surface', SURFACES, reading.surface, (surface) => change({ surface }))}
        {choice('Movement', MOVEMENTS, reading.movement, (movement) => change({ movement }))}
        <h2>What is wrong in {zone.headword}?</h2>
        <div className={css.glyphs}>
          {shown.map((id) => {
            const on = reading.defects.find((one) => one.defect === id);
            const { name } = DEFECTS.find((defect) => defect.id === id)!;
            return (
              <button
                key={id}
                type="button"
                aria-pressed={Boolean(on)}
                onClick={() => change({ defects: tapDefect(reading, id) })}
              >
                <DefectGlyph id={id} size={30} labelled />
                {name}
                {on && <small>{SEVERITY[on.severity]}</small>}
              </button>
            );
          })}
          <button type="button" onClick={() => setMore(!more)} aria-expanded={more}>
            {more ? 'fewer' : 'more'}
          </button>
        </div>
        {reading.defects.map((one) => (
          <div key={one.defect}>
            <p className="small">
              Where is the {one.defect}?{' '}
              {DEFECTS.find((defect) => defect.id === one.defect)?.caution && (
                <span className="heat">{DEFECTS.find((defect) => defect.id === one.defect)?.caution}</span>
              )}
            </p>
            {choice(`Place of ${one.defect}`, PLACES, one.place, (place) =>
              change({ defects: placeDefect(reading, one.defect, place) }),
            )}
          </div>
        ))}
        <div className={css.colour}>
          <ColourField
            label={reading.colour ? 'Colour, as picked' : zone.colour ? 'Colour, from the photo' : 'Colour'}
            value={reading.colour ?? zone.colour ?? '#888888'}
            onChange={(colour) => change({ colour })}
          />
          {reading.colour && (
            <Button variant="text" onClick={() => change({ colour: null })}>
              Take it from the photo
            </Button>
          )}
        </div>
        <TextField
          label="Note"
          value={reading.note}
          onChange={(event) => change({ note: event.target.value })}
          multiline
        />
        <details className={css.later} open={reading.boilTest !== null || undefined}>
          <summary>Boil test</summary>
          <p className="small">
            Boiling water, then ice water, three times over, brings crazing out early. Gloves and eye
            protection.
          </p>
          {choice('Boil test', ['passed', 'failed'] as const, reading.boilTest, (boilTest) =>
            change({ boilTest: boilTest === reading.boilTest ? null : boilTest }),
          )}
        </details>
        <h2>Fate</h2>
        {choice('Fate', FATES, said.fate, (fate) => setSaid((before) => ({ ...before, fate })))}
        {theirs ? (
          <Theirs rows={otherReading(said, theirs)} onKeepMine={() => void save(followed(said, theirs))} />
        ) : (
          <Faults faults={faults} />
        )}
        {photo && <p role="status">{photo}</p>}
        {found && <p className="small quiet">Kept on this device, not sent yet.</p>}
        <div className={css.foot}>
          <input
            ref={file}
            type="file"
            accept="image/*"
            hidden
            aria-label="Photo file"
            onChange={(event) => void take(event.target.files?.[0])}
          />
          <Button onClick={() => file.current?.click()}>Photo</Button>
          <Button variant="contained" disabled={busy} onClick={() => void save()}>
            {busy ? 'Saving' : last ? 'Save' : 'Save, next'}
          </Button>
        </div>
      </div>
    </article>
  );
}

/** What somebody else read on the same zone, beside what was tapped here. */
function otherReading(said: Said, theirs: Readonly<Record<string, unknown>>) {
  const mine = said.zones[String(theirs.zone_id)];
  const defects = (list: unknown) =>
    (list as { defect: string }[] | undefined)?.map((one) => one.defect).join(', ') || 'none';
  const word = (value: unknown) => String(value || 'not said');
  return [
    { name: 'Surface', mine: word(mine?.surface), theirs: word(theirs.surface) },
    { name: 'Movement', mine: word(mine?.movement), theirs: word(theirs.movement) },
    { name: 'Defects', mine: defects(mine?.defects), theirs: defects(theirs.defects) },
    { name: 'Note', mine: word(mine?.note), theirs: word(theirs.note) },
  ].filter((row) => row.mine !== row.theirs);
}
