'use client';
import { Said } from '@/ui/units';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { useEffect, useMemo, useState, type KeyboardEvent, type PointerEvent } from 'react';
import {
  endsOf,
  frameFrom,
  guessView,
  isRound,
  ringOf,
  sidesIn,
  type Point,
  type ZoneColour,
} from '@/core/photo';
import { VIEWS, type Form } from '@/core/vocabulary';
import type { AskedPhoto } from '@/workers/photo.worker';
import { placeWords } from '@/core/coats';
import type { OpeningPiece, OpeningZone } from '@/records/openings';
import type { PhotoSettings, ZoneCount } from '@/records/pieces';
import { CountPits } from './CountPits';
import { photoWorker } from '@/ui/photoWorker';
import css from './photoDesk.module.css';
import page from '@/ui/page.module.css';
import { ToggleRow } from '@/ui/kit';
import { LabelPad } from '@/ui/LabelPad';
import { PhotoSheet, type PictureSize } from '@/ui/PhotoSheet';
import { useObjectUrl } from '@/ui/useObjectUrl';

/** A photo as the desk has it in hand. */
export interface DeskPhoto extends PhotoSettings {
  readonly id: string;
  readonly blob: Blob;
}

interface Props {
  readonly photo: DeskPhoto;
  readonly piece: OpeningPiece;
  readonly onSet: (settings: PhotoSettings) => void;
  readonly onCount: (count: Omit<ZoneCount, 'id' | 'photoId'>) => void;
  readonly onClose: () => void;
}

type Mode = 'frame' | 'grey' | 'draw' | 'words';
const MODES: readonly (readonly [Mode, string, string])[] = [
  ['frame', 'Rim and foot', 'Drag the two marks to the middle of rim and foot.'],
  ['grey', 'Grey card', 'Tap a grey card (18 %) in the picture to correct the colours.'],
  ['draw', 'Draw', 'Draw on the picture to point something out.'],
  ['words', 'Words', 'Tap what you want to point at, and write what it is.'],
];

/** Where a photo is set: rim and foot dragged, colours corrected, pits counted, lines drawn. */
export function PhotoDesk({ photo, piece, onSet, onCount, onClose }: Props) {
  const [settings, setSettings] = useState<PhotoSettings>({
    frame: photo.frame,
    gains: photo.gains,
    strokes: photo.strokes,
    labels: photo.labels,
    view: photo.view,
    area: photo.area,
    stage: photo.stage,
  });
  const view = settings.view ?? guessView(piece.form);
  const [size, setSize] = useState<PictureSize | null>(null);
  const [mode, setMode] = useState<Mode>('frame');
  const [said, setSaid] = useState('');
  const [counting, setCounting] = useState<OpeningZone | null>(null);
  const url = useObjectUrl(photo.blob);
  const alt = `Photo of ${piece.label}`;
  const seen = useMemo(
    () => piece.zones.filter(({ area, side }) => !area && sidesIn(view, piece.form).includes(side)),
    [piece, view],
  );
  const colours = useColours(photo.blob, { ...settings, view, form: piece.form }, seen);
  // Seen from above a piece is as tall as it is wide.
  const aspect = isRound(view) ? 1 : piece.widthMm / piece.heightMm;
  const tap = async (point: Point) => {
    if (mode !== 'grey') return;
    setSaid('Measuring the card');
    const gains = await photoWorker().grey(photo.blob, point);
    setSaid(
      gains ? 'Colours corrected by the card.' : 'That is not a grey card: too dark, too light or coloured.',
    );
    if (gains) setSettings((now) => ({ ...now, gains }));
  };
  return (
    <Dialog open fullScreen onClose={onClose} aria-label={alt}>
      <div className={page.screen}>
        <div className={css.desk}>
          {url && mode === 'words' && (
            <LabelPad
              {...{ src: url, alt, size }}
              strokes={settings.strokes}
              labels={settings.labels}
              onChange={(labels) => setSettings((now) => ({ ...now, labels }))}
            />
          )}
          {url && mode !== 'words' && (
            <PhotoSheet
              {...{ src: url, alt, size }}
              onSize={setSize}
              over={
                size && (
                  <Marks
                    size={size}
                    aspect={aspect}
                    mode={mode}
                    settings={settings}
                    zones={seen}
                    round={isRound(view) ? piece.form : null}
                    onChange={setSettings}
                    onTap={(point) => void tap(point)}
                  />
                )
              }
            />
          )}
          <div className={css.modes}>
            <ToggleRow
              label="What it shows"
              options={VIEWS.map((one) => [one, one] as const)}
              value={view}
              onChange={(next) => setSettings((now) => ({ ...now, view: next }))}
            />
            <ToggleRow
              label="What to do"
              options={MODES.map(([id, name]) => [id, name] as const)}
              value={mode}
              onChange={setMode}
            />
            <p>{said || MODES.find(([id]) => id === mode)![2]}</p>
          </div>
          <DeskZones piece={piece} zones={seen} colours={colours} onCount={setCounting} />
          <DeskFoot mode={mode} settings={settings} onChange={setSettings} onClose={onClose} onSet={onSet} />
        </div>
      </div>
      {counting && (
        <CountPits
          photo={photo.blob}
          frame={settings.frame}
          zone={counting}
          heightMm={piece.heightMm}
          onClose={() => setCounting(null)}
          onSave={(count) => {
            onCount(count);
            setCounting(null);
          }}
        />
      )}
    </Dialog>
  );
}

/** Steps back, leaving and keeping what was set. */
function DeskFoot({
  mode,
  settings,
  onChange,
  onClose,
  onSet,
}: Pick<Props, 'onClose' | 'onSet'> & {
  mode: Mode;
  settings: PhotoSettings;
  onChange: (settings: PhotoSettings) => void;
}) {
  return (
    <div className={css.foot}>
      {settings.strokes.length > 0 && (
        <Button onClick={() => onChange({ ...settings, strokes: settings.strokes.slice(0, -1) })}>
          Undo line
        </Button>
      )}
      {mode === 'words' && settings.labels.length > 0 && (
        <Button onClick={() => onChange({ ...settings, labels: settings.labels.slice(0, -1) })}>
          Undo words
        </Button>
      )}
      {settings.gains && (
        <Button onClick={() => onChange({ ...settings, gains: null })}>Without the card</Button>
      )}
      <Button onClick={onClose}>Cancel</Button>
      <Button variant="contained" onClick={() => onSet(settings)}>
        Done
      </Button>
    </div>
  );
}

/** The zones that a photo shows, with the colours they are made of. */
function DeskZones({
  piece,
  zones,
  colours,
  onCount,
}: {
  piece: OpeningPiece;
  zones: readonly OpeningZone[];
  colours: ReadonlyMap<string, ZoneColour>;
  onCount: (zone: OpeningZone) => void;
}) {
  return (
    <ul className={css.zones}>
      {[...zones].reverse().map((zone) => (
        <li key={zone.id}>
          <span className={css.palette} aria-hidden>
            {(colours.get(zone.id)?.palette ?? []).map((shade) => (
              <i key={shade.hex} style={{ background: shade.hex, flexGrow: shade.share }} />
            ))}
          </span>
          <span>
            <b>{zone.headword}</b> <Said of={placeWords(zone, piece)} />
            <small className="figures">
              {colours
                .get(zone.id)
                ?.palette.map((shade) => `${shade.hex} ${Math.round(shade.share * 100)} %`)
                .join(', ') ?? 'measuring'}
            </small>
          </span>
          <Button size="small" onClick={() => onCount(zone)}>
            Count pits
          </Button>
        </li>
      ))}
    </ul>
  );
}

/** The colours of the zones, measured again when the frame or the correction changes. */
function useColours(
  blob: Blob,
  { frame, gains, view, form }: AskedPhoto,
  zones: readonly OpeningZone[],
): ReadonlyMap<string, ZoneColour> {
  const [colours, setColours] = useState<ReadonlyMap<string, ZoneColour>>(new Map());
  const asked = useMemo(() => zones.map(({ id, side, from, to }) => ({ id, side, from, to })), [zones]);
  useEffect(() => {
    let stale = false;
    const timer = setTimeout(() => {
      void photoWorker()
        .colours(blob, { frame, gains, view, form }, asked)
        .then((found) => !stale && setColours(new Map(found.map((one) => [one.id, one.found]))));
    }, 120);
    return () => {
      stale = true;
      clearTimeout(timer);
    };
  }, [blob, frame, gains, view, form, asked]);
  return colours;
}

interface MarksProps {
  readonly size: PictureSize;
  readonly aspect: number;
  readonly mode: Mode;
  readonly settings: PhotoSettings;
  readonly zones: readonly OpeningZone[];
  /** The form, when its zones lie in the picture as rings; null when they lie one above the other. */
  readonly round: Form | null;
  readonly onChange: (settings: PhotoSettings) => void;
  readonly onTap: (point: Point) => void;
}

/** What lies over the photo: the frame with its zones, the two handles, and drawn lines. */
function Marks({ size, aspect, mode, settings, zones, round, onChange, onTap }: MarksProps) {
  const [stroke, setStroke] = useState<readonly Point[]>([]);
  const [grip, setGrip] = useState<'rim' | 'foot' | null>(null);
  const { frame, strokes } = settings;
  const ends = endsOf(frame, size);
  const pointOf = (event: PointerEvent<SVGSVGElement>): Point => {
    const box = event.currentTarget.getBoundingClientRect();
    const part = (value: number) => Math.min(1, Math.max(0, value));
    return {
      x: part((event.clientX - box.left) / box.width),
      y: part((event.clientY - box.top) / box.height),
    };
  };
  const move = (which: 'rim' | 'foot', to: Point) => {
    const next = { ...ends, [which]: to };
    if (Math.hypot(next.rim.x - next.foot.x, next.rim.y - next.foot.y) < 0.05) return;
    onChange({ ...settings, frame: frameFrom(next.rim, next.foot, size, aspect) });
  };
  const nudge = (which: 'rim' | 'foot') => (event: KeyboardEvent) => {
    const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (!step) return;
    event.preventDefault();
    move(which, { x: ends[which].x + step[0]! * 0.004, y: ends[which].y + step[1]! * 0.004 });
  };
  const [wide, tall] = [(frame.right - frame.left) * size.width, (frame.foot - frame.rim) * size.height];
  const [cx, cy] = [
    ((frame.left + frame.right) / 2) * size.width,
    ((frame.rim + frame.foot) / 2) * size.height,
  ];
  const thumb = Math.max(size.width, size.height) / 34;
  return (
    <svg
      className={css.marks}
      viewBox={`0 0 ${size.width} ${size.height}`}
      data-mode={mode}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        const point = pointOf(event);
        if (mode === 'draw') setStroke([point]);
        if (mode === 'grey') onTap(point);
        if (mode !== 'frame') return;
        const far = (end: Point) =>
          Math.hypot((end.x - point.x) * size.width, (end.y - point.y) * size.height);
        const nearest = far(ends.rim) < far(ends.foot) ? 'rim' : 'foot';
        setGrip(nearest);
        move(nearest, point);
      }}
      onPointerMove={(event) => {
        if (grip) move(grip, pointOf(event));
        if (stroke.length && stroke.length < 400) setStroke([...stroke, pointOf(event)]);
      }}
      onPointerUp={() => {
        if (stroke.length > 2) onChange({ ...settings, strokes: [...strokes, stroke].slice(-40) });
        setStroke([]);
        setGrip(null);
      }}
    >
      <g transform={`rotate(${frame.tilt ?? 0} ${cx} ${cy})`} className={css.frame}>
        <rect x={cx - wide / 2} y={cy - tall / 2} width={wide} height={tall} />
        {zones.map((zone) => {
          if (round) {
            const { to } = ringOf(round, zone);
            return <ellipse key={zone.id} cx={cx} cy={cy} rx={(wide / 2) * to} ry={(tall / 2) * to} />;
          }
          const [start, end] = zone.side === 'left' ? [0, 0.5] : zone.side === 'right' ? [0.5, 1] : [0, 1];
          return (
            <rect
              key={zone.id}
              x={cx - wide / 2 + wide * start}
              y={cy + tall / 2 - tall * zone.to}
              width={wide * (end - start)}
              height={tall * (zone.to - zone.from)}
            />
          );
        })}
      </g>
      {[...strokes, stroke].map((line, i) => (
        <polyline
          key={i}
          className={css.stroke}
          points={line.map(({ x, y }) => `${x * size.width},${y * size.height}`).join(' ')}
        />
      ))}
      {mode === 'frame' &&
        (['rim', 'foot'] as const).map((which) => (
          <g
            key={which}
            tabIndex={0}
            role="slider"
            aria-label={`${which}, moved with the arrow keys`}
            aria-valuenow={Math.round(ends[which].y * 100)}
            onKeyDown={nudge(which)}
            className={css.handle}
            transform={`translate(${ends[which].x * size.width} ${ends[which].y * size.height})`}
          >
            <circle r={thumb} />
            <text textAnchor="middle" y={which === 'rim' ? -thumb * 1.3 : thumb * 2.1} fontSize={thumb * 1.1}>
              {which}
            </text>
          </g>
        ))}
    </svg>
  );
}
