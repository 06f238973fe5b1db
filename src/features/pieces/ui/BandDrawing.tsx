'use client';
import { lengthOf, sayQuantity } from '@/core/units';
import { formShape, reachMm } from '@/core/vocabulary';
import { guessView, sidesIn } from '@/core/photo';
import type { PieceDraft, StoredPhoto } from '@/records/pieces';
import type { Outline } from '@/core/coats';
import {
  drawnSides,
  EDGE,
  fieldOf,
  sideField,
  Silhouette,
  STRIP,
  TALL,
  type DrawnCoat,
} from '@/ui/silhouette';
import { useUnits } from '@/ui/units';
import { drawnAreas, sidesFor } from '../model/draft';
import { OutlinePad } from './OutlinePad';
import css from './pieces.module.css';

/** A photo as an area is drawn on it. */
export type EditorPhoto = Pick<StoredPhoto, 'hash' | 'frame' | 'view'>;

interface Props {
  readonly draft: PieceDraft;
  readonly coats: readonly DrawnCoat[];
  readonly bodyColour: string;
  readonly selected: number;
  readonly nameOf: (index: number) => string;
  readonly onSelect: (index: number) => void;
  readonly onEdge: (index: number, edge: 'from' | 'to', at: number) => void;
  /** The area that is being drawn; null for none. */
  readonly outlining: string | null;
  readonly onOutline: (outline: Outline | null) => void;
  /** Photos of the piece, the newest first, to draw areas on. */
  readonly photos: readonly EditorPhoto[];
}

/** Most px the drawing may take, strips included: a phone has no more. */
const TALLEST = 430;
const WIDEST = 350;

/** The piece drawn large; the edges of the chosen coat are dragged, or moved with the arrow keys by 1 mm. */
export function BandDrawing(props: Props) {
  const { draft, coats, bodyColour, selected, nameOf, onSelect, onEdge, outlining, onOutline, photos } =
    props;
  const { plan } = formShape(draft.form);
  const { above, before, width: bodyWidth, beside } = fieldOf(draft);
  const tall = 104 + above;
  const wide = before + bodyWidth + beside;
  const sides = drawnSides(coats, formShape(draft.form));
  const strips = STRIP.gap + sides.length * STRIP.width + 2 * EDGE;
  const size = Math.min(TALLEST, (WIDEST * tall) / (wide + strips));
  const unit = size / tall;
  const yOf = (t: number) => (2 + above + (plan ? 50 : 100) * (1 - t)) * unit;
  const atOf = (clientY: number, drawing: Element) => {
    const { top } = drawing.getBoundingClientRect();
    return 1 - ((clientY - top) / unit - 2 - above) / (plan ? 50 : 100);
  };
  const width = wide * unit;
  const coat = outlining === null ? draft.coats[selected] : undefined;
  const outlined = draft.areas.find(({ name }) => name === outlining);
  const outlinedSide = outlined?.side ?? sidesFor(draft)[0]!;
  const shows = ({ view }: EditorPhoto) =>
    sidesIn(view ?? guessView(draft.form), draft.form).includes(outlinedSide);
  const own = sideField(outlinedSide, sides, bodyWidth, plan);
  const padField = {
    left: (EDGE + before + own.x) * unit,
    top: (EDGE + above) * unit,
    width: own.width * unit,
    height: TALL * unit,
  };
  const units = useUnits();
  const place = (t: number) => sayQuantity(lengthOf(t * reachMm(draft)), units);
  const onKey = (edge: 'from' | 'to', value: number) => (event: React.KeyboardEvent) => {
    const step = (event.shiftKey ? 10 : 1) / reachMm(draft);
    const by = { ArrowUp: step, ArrowDown: -step, ArrowRight: step, ArrowLeft: -step }[event.key];
    const at = event.key === 'Home' ? 0 : event.key === 'End' ? 1 : by === undefined ? null : value + by;
    if (at === null) return;
    event.preventDefault();
    onEdge(selected, edge, at);
  };
  return (
    <div className={css.drawing} style={{ height: size }}>
      <Silhouette
        {...draft}
        bodyColour={bodyColour}
        coats={coats}
        areas={drawnAreas(draft)}
        size={size}
        strip
        lit={outlining ? { side: 'outside', from: 0, to: 0, area: outlining } : null}
      />
      {outlining !== null && (
        <OutlinePad
          name={outlining}
          field={padField}
          photo={photos.find(shows) ?? null}
          onDrawn={onOutline}
          onCancel={() => onOutline(null)}
        />
      )}
      {draft.coats.map((one, i) =>
        i === selected || one.area !== null || outlining !== null ? null : (
          <button
            key={i}
            type="button"
            className={css.grip}
            style={{ top: (yOf(one.to) + yOf(one.from)) / 2 - 12, left: width + 2 * unit - 30 }}
            onClick={() => onSelect(i)}
            title={`Choose coat ${i + 1}, ${nameOf(i)}`}
          >
            {i + 1}
          </button>
        ),
      )}
      {coat?.area === null &&
        (['to', 'from'] as const).map((edge) => (
          <div
            key={edge}
            role="slider"
            tabIndex={0}
            aria-orientation="vertical"
            aria-label={`${edge === 'to' ? 'Upper' : 'Lower'} edge of coat ${selected + 1}, ${nameOf(selected)}`}
            aria-valuemin={0}
            aria-valuemax={100}
            aria-valuenow={Math.round(coat[edge] * 100)}
            aria-valuetext={place(coat[edge])}
            className={css.edge}
            style={{ top: yOf(coat[edge]) - 16, width: width + 4 * unit + 66 }}
            onKeyDown={onKey(edge, coat[edge])}
            onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
            onPointerMove={(event) => {
              if (event.currentTarget.hasPointerCapture(event.pointerId))
                onEdge(selected, edge, atOf(event.clientY, event.currentTarget.parentElement!));
            }}
          >
            <span className={css.edgeLabel}>{place(coat[edge])}</span>
          </div>
        ))}
    </div>
  );
}
