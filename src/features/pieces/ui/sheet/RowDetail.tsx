'use client';
import { drawable, drawnAreas, drawnCoats, type GlazeChoice } from '../../model/draft';
import type { SheetBook } from '../../model/sheet/book';
import { coatWarnings } from '../../model/warnings';
import { Said } from '@/ui/units';
import { ZoneList } from '../ZoneList';
import { RowDrawing } from './SheetGrid';
import css from './sheet.module.css';
import type { SheetState } from './useSheet';

interface Props {
  readonly of: Pick<SheetState, 'shown' | 'at'>;
  readonly book: SheetBook;
  readonly glazes: ReadonlyMap<string, GlazeChoice>;
}

/** The row that is worked on: its piece drawn, the zones it will have, and what may go wrong with it. */
export function RowDetail({ of: { shown, at }, book, glazes }: Props) {
  const read = shown[at.row]?.read;
  const piece = read?.piece;
  if (!piece || piece.coats.length === 0) return null;
  const coats = drawnCoats(piece, glazes);
  return (
    <section className={css.detail} aria-label={`What row ${at.row + 1} tests`}>
      <RowDrawing read={read} book={book} glazes={glazes} size={120} />
      <div>
        <h2>What row {at.row + 1} tests</h2>
        <ZoneList
          areas={drawnAreas(piece)}
          piece={drawable(piece)}
          body={piece.bodyId}
          coats={coats}
          nameOf={(id) => glazes.get(id)?.name ?? '?'}
          bodyOf={(id) => book.bodies.find((body) => body.id === id)?.name ?? '?'}
        />
        {read.isTooLarge && <p className="small heat">Larger than any kiln here: check the size.</p>}
        {coatWarnings(drawable(piece), coats, glazes).map((warning, i) => (
          <p key={i} className="small heat">
            <Said of={warning} />
          </p>
        ))}
      </div>
    </section>
  );
}
