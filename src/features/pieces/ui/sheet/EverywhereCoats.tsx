'use client';
import DeleteOutline from '@mui/icons-material/DeleteOutlined';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import { METHODS, type Method } from '@/core/vocabulary';
import { Choice, SelectField } from '@/ui/kit';
import { usualMethodOf } from '../../model/draft';
import { presetsFor } from '../../model/presets';
import type { SheetBook } from '../../model/sheet/book';
import type { EverywhereCoat } from '../../model/sheet/readRow';
import css from './sheet.module.css';
import { isHalf, type SheetState } from './useSheet';

interface Props {
  readonly of: Pick<SheetState, 'shown' | 'everywhere' | 'setEverywhere' | 'isAsked'>;
  readonly book: SheetBook;
}

/** Coats that every piece of the sheet gets last, on top of what its row says. */
export function EverywhereCoats({ of: { shown, everywhere, setEverywhere, isAsked }, book }: Props) {
  const piece = shown.find(({ read }) => read.piece)?.read.piece;
  const places = piece ? presetsFor(piece).map(({ name }) => name) : [];
  const change = (i: number, part: Partial<EverywhereCoat>) =>
    setEverywhere(everywhere.map((coat, k) => (k === i ? { ...coat, ...part } : coat)));
  const first = book.glazes[0];
  if (!piece || !first) return null;
  return (
    <section className={css.everywhere} aria-label="On every piece as well">
      {everywhere.length > 0 && <h2>On every piece as well</h2>}
      {everywhere.map((coat, i) => (
        <div key={i} className={css.coat}>
          <Choice
            label="Glaze"
            options={book.glazes.map(({ name }) => name)}
            value={book.glazes.find(({ id }) => id === coat.glazeId)?.name ?? null}
            onChange={(name) => {
              const glaze = book.glazes.find((one) => one.name === name);
              if (glaze) change(i, { glazeId: glaze.id, method: usualMethodOf(glaze) });
            }}
          />
          <SelectField<Method>
            label="Method"
            options={METHODS.map((method) => [method, method] as const)}
            value={coat.method}
            onChange={(method) => change(i, { method })}
          />
          <SelectField<string>
            label="Where"
            options={places.map((place) => [place, place] as const)}
            value={places.includes(coat.place) ? coat.place : ''}
            onChange={(place) => change(i, { place })}
          />
          {isAsked && isHalf(coat) && <span className="heat">Choose its glaze and where it goes.</span>}
          <IconButton
            aria-label="Remove this coat"
            onClick={() => setEverywhere(everywhere.filter((_, k) => k !== i))}
          >
            <DeleteOutline fontSize="small" />
          </IconButton>
        </div>
      ))}
      {everywhere.length < 2 && (
        <Button
          size="small"
          variant="text"
          onClick={() => setEverywhere([...everywhere, { glazeId: '', method: 'spray', place: '' }])}
        >
          Add a coat to every piece
        </Button>
      )}
    </section>
  );
}
