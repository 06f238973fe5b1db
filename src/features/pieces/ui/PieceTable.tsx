'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState } from 'react';
import { pieceWords } from '@/features/shared/pieceWords';
import type { ListedPiece } from '@/records/pieces';
import { shortDay } from '@/core/time';
import { drawnPiece } from '@/ui/drawn';
import { Acts, DataTable, PageHeader, SelectField, ToggleRow, type TableRowData } from '@/ui/kit';
import { LinkButton } from '@/ui/LinkButton';
import { Silhouette } from '@/ui/silhouette';
import { setAll, useAddress } from '@/ui/useAddress';
import { useChosen } from '@/ui/useChosen';
import type { Maker } from '../model/makers';
import type { CoatGlaze } from '../model/sheet/readRow';
import { FILTERS, PieceFilters, type FilterChoices } from './PieceFilters';
import { PieceGallery } from './PieceGallery';
import { SeveralPieces } from './several/SeveralPieces';
import css from './pieces.module.css';

interface Props extends FilterChoices {
  readonly glazes: readonly CoatGlaze[];
  readonly rows: readonly ListedPiece[];
  readonly total: number;
  readonly page: number;
  readonly pageSize: number;
  readonly sort: { readonly field: string; readonly order: 'asc' | 'desc' };
  /** Who may have made a piece; empty for who may not say so. */
  readonly makers: readonly Maker[];
  readonly memberId: string;
  /** Whether the member may write on everybody's pieces. */
  readonly mayTeach: boolean;
}

/** A table, or photos of a size. */
const SIZES = [
  ['table', 'Table'],
  ['small', 'Small photos'],
  ['large', 'Large photos'],
] as const;

/** The columns, and the field by which the server orders each; null for one that has no order. */
const COLUMNS = [
  { name: '', field: null },
  { name: 'Number', field: 'number' },
  { name: 'Glazes', field: null },
  { name: 'Clay', field: 'body' },
  { name: 'Form', field: 'form' },
  { name: 'Stage', field: 'stage' },
  { name: 'Fate', field: null },
  { name: 'By', field: null },
  { name: 'Made', field: 'madeAt' },
] as const;

function rowOf(piece: ListedPiece): Omit<TableRowData, 'tick'> {
  const href = `/pieces/${piece.label}`;
  const size = Math.min(36, (36 * piece.heightMm) / piece.widthMm);
  return {
    key: piece.id,
    href,
    cells: [
      <span key="picture" className={css.cellPicture}>
        {piece.photoHash ? (
          <img
            src={`/api/v1/photos/${piece.photoHash}?width=96`}
            alt=""
            width={40}
            height={46}
            loading="lazy"
          />
        ) : (
          <Silhouette {...drawnPiece(piece)} size={size} />
        )}
      </span>,
      <Link key="number" href={href} className="figures">
        {piece.label}
      </Link>,
      pieceWords(piece),
      piece.isDescribed ? piece.body : '',
      piece.isDescribed ? piece.form : '',
      piece.stage,
      piece.fate,
      piece.maker,
      shortDay(piece.madeAt),
    ],
  };
}

/** The list of pieces: filters and order live in the address, pages come from the server. */
export function PieceTable(props: Props) {
  const { rows, total, page, pageSize, sort, makers, orders, groups, glazes, memberId, mayTeach } = props;
  const { params, change } = useAddress();
  // What was chosen on another page, or under another filter, stays chosen as it was last seen.
  const [seen, setSeen] = useState<ReadonlyMap<string, ListedPiece>>(new Map());
  const { chosen, turnTo, clear } = useChosen(rows.map(({ id }) => id));
  const now = new Map([...seen, ...rows.map((piece) => [piece.id, piece] as const)]);
  const pieces = [...chosen].flatMap((id) => now.get(id) ?? []);
  const size = SIZES.find(([one]) => one === params.get('view'))?.[0] ?? 'table';
  const turn = (piece: ListedPiece, isRange: boolean) => {
    setSeen(now);
    turnTo(piece.id, !chosen.has(piece.id), isRange);
  };
  const go = (changes: Readonly<Record<string, string | null>>) =>
    change((next) => setAll(next, { page: null, ...changes }));
  return (
    <>
      <PageHeader first={rows[0]?.label ?? 'Pieces'} last={rows.at(-1)?.label}>
        <h1>Pieces</h1>
        <span className="quiet">
          <span className="figures">{total}</span> {total === 1 ? 'piece' : 'pieces'}
        </span>
        <Acts>
          <Button component="a" href={`/api/v1/pieces.csv?${params}`} download>
            Download as spreadsheet
          </Button>
          <LinkButton href="/orders">Orders</LinkButton>
          <LinkButton href="/pieces/sheet">Many at once</LinkButton>
          <LinkButton variant="contained" href="/pieces/new" title="New piece (n)">
            New piece
          </LinkButton>
        </Acts>
      </PageHeader>
      <PieceFilters {...props} />
      <SeveralPieces
        pieces={pieces}
        makers={makers}
        orders={orders}
        groups={mayTeach ? groups : []}
        mayChange={mayTeach || pieces.every((piece) => piece.memberId === memberId)}
        glazes={glazes}
        onClear={clear}
        onFresh={(fresh) => setSeen(new Map([...now, ...fresh.map((piece) => [piece.id, piece] as const)]))}
      />
      <div className={css.views}>
        <ToggleRow
          label="Show as"
          size="small"
          value={size}
          onChange={(next) => change((all) => setAll(all, { view: next === 'table' ? null : next }))}
          options={SIZES}
        />
        {size !== 'table' && (
          <SelectField
            label="Sorted"
            value={sort.field === 'colour' ? 'colour' : 'number'}
            onChange={(field) => go({ sort: field, order: 'desc' })}
            className={css.filter}
            options={[
              ['number', 'newest first'],
              ['colour', 'by colour'],
            ]}
          />
        )}
      </div>
      {size !== 'table' && <PieceGallery {...{ rows, chosen }} isLarge={size === 'large'} onTurn={turn} />}
      <DataTable
        label="Pieces"
        columns={COLUMNS.map(({ name, field }) => ({ name, isSortable: field !== null }))}
        ticks="chosen"
        rows={(size === 'table' ? rows : []).map((piece) => ({
          ...rowOf(piece),
          tick: {
            label: `Choose ${piece.label}`,
            isDone: chosen.has(piece.id),
            onTick: (isRange) => turn(piece, isRange),
          },
        }))}
        hasHeadings={size === 'table'}
        empty={
          rows.length > 0
            ? null
            : FILTERS.some((key) => params.get(key))
              ? 'No piece matches. Clear a filter, or log a new piece.'
              : 'No piece yet. Log the first one.'
        }
        order={{
          column: COLUMNS.findIndex(({ field }) => field === sort.field),
          direction: sort.order,
          onOrder: ({ column, direction }) => go({ sort: COLUMNS[column]!.field, order: direction }),
        }}
        paging={{ page, size: pageSize, total, onPage: (next) => go({ page: String(next) }) }}
      />
    </>
  );
}
