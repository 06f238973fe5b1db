'use client';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { DataGrid, type GridColDef, type GridSortModel } from '@mui/x-data-grid';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { headwordOf } from '@/core/coats';
import type { ListedPiece } from '@/records/pieces';
import { shortDay } from '@/ui/dates';
import { drawnPiece } from '@/ui/drawn';
import { GuideWords } from '@/ui/frame';
import { LinkButton } from '@/ui/LinkButton';
import { useNonce } from '@/ui/Providers';
import { Silhouette } from '@/ui/Silhouette';
import { setAll, useAddress } from '@/ui/useAddress';
import css from './pieces.module.css';

const STAGES = ['made', 'glazed', 'loaded', 'fired', 'read'];
const FATES = ['keep', 'first', 'second', 'give', 'refire', 'reglaze', 'grind', 'discard'];

interface Props {
  readonly rows: readonly ListedPiece[];
  readonly total: number;
  readonly page: number;
  readonly pageSize: number;
  readonly sort: { readonly field: string; readonly order: 'asc' | 'desc' };
  readonly bodies: readonly { readonly id: string; readonly name: string }[];
  readonly glazes: readonly { readonly id: string; readonly name: string }[];
}

function layersInWords(piece: ListedPiece): string {
  const names = new Map(piece.coats.map((coat) => [coat.glazeId, coat.glazeName]));
  const stack = piece.coats.map((coat) => ({ glaze: coat.glazeId, times: coat.times }));
  return stack.length ? headwordOf(stack, (id) => names.get(id) ?? '?') : 'bare';
}

const COLUMNS: GridColDef<ListedPiece>[] = [
  {
    field: 'picture',
    headerName: '',
    width: 64,
    sortable: false,
    renderCell: ({ row }) => (
      <span className={css.cellPicture}>
        {row.photoHash ? (
          <img
            src={`/api/v1/photos/${row.photoHash}?width=96`}
            alt=""
            width={40}
            height={46}
            loading="lazy"
          />
        ) : (
          <Silhouette {...drawnPiece(row)} size={Math.min(36, (36 * row.heightMm) / row.widthMm)} />
        )}
      </span>
    ),
  },
  {
    field: 'number',
    headerName: 'Number',
    width: 110,
    renderCell: ({ row }) => (
      <Link href={`/pieces/${row.label}`} className="figures">
        {row.label}
      </Link>
    ),
  },
  {
    field: 'coats',
    headerName: 'Glazes',
    flex: 2,
    minWidth: 200,
    sortable: false,
    valueGetter: (_, row) => layersInWords(row),
  },
  { field: 'body', headerName: 'Clay', flex: 1, minWidth: 130 },
  { field: 'form', headerName: 'Form', width: 100 },
  { field: 'stage', headerName: 'Stage', width: 90 },
  { field: 'fate', headerName: 'Fate', width: 90, sortable: false },
  { field: 'maker', headerName: 'By', width: 150, sortable: false },
  { field: 'madeAt', headerName: 'Made', width: 130, valueFormatter: (value: Date) => shortDay(value) },
];

/** The list of pieces: filters and order live in the address, pages come from the server. */
export function PieceTable({ rows, total, page, pageSize, sort, bodies, glazes }: Props) {
  const router = useRouter();
  const nonce = useNonce();
  const { params, change } = useAddress();
  const go = (changes: Readonly<Record<string, string | null>>) =>
    change((next) => setAll(next, { page: null, ...changes }));
  const filter = (key: string, label: string, options: readonly { value: string; name: string }[]) => (
    <TextField
      select
      label={label}
      value={params.get(key) ?? ''}
      onChange={(event) => go({ [key]: event.target.value })}
      sx={{ width: 150 }}
    >
      <MenuItem value="">any</MenuItem>
      {options.map(({ value, name }) => (
        <MenuItem key={value} value={value}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
  const plain = (names: readonly string[]) => names.map((name) => ({ value: name, name }));
  const byId = (list: Props['bodies']) => list.map(({ id, name }) => ({ value: id, name }));
  return (
    <>
      <GuideWords first={rows[0]?.label ?? 'Pieces'} last={rows.at(-1)?.label} />
      <div className={css.titleRow}>
        <h1>Pieces</h1>
        <span className="quiet">
          <span className="figures">{total}</span> {total === 1 ? 'piece' : 'pieces'}
        </span>
        <span style={{ marginLeft: 'auto', display: 'flex', gap: 10 }}>
          <Button component="a" href={`/api/v1/pieces.csv?${params}`} download>
            Download as spreadsheet
          </Button>
          <LinkButton variant="contained" href="/pieces/new" title="New piece (n)">
            New piece
          </LinkButton>
        </span>
      </div>
      <div className={css.filters}>
        {filter('stage', 'Stage', plain(STAGES))}
        {filter('fate', 'Fate', plain(FATES))}
        {filter('body', 'Clay', byId(bodies))}
        {filter('glaze', 'Glaze on it', byId(glazes))}
      </div>
      <DataGrid
        {...(nonce && { nonce })}
        rows={rows as ListedPiece[]}
        columns={COLUMNS}
        rowCount={total}
        rowHeight={54}
        paginationMode="server"
        sortingMode="server"
        paginationModel={{ page, pageSize }}
        pageSizeOptions={[pageSize]}
        onPaginationModelChange={(model) => go({ page: String(model.page) })}
        sortModel={[{ field: sort.field, sort: sort.order }] as GridSortModel}
        onSortModelChange={([first]) => go({ sort: first?.field ?? null, order: first?.sort ?? null })}
        onRowClick={({ row }) => router.push(`/pieces/${row.label}`)}
        disableColumnMenu
        disableRowSelectionOnClick
        sx={{
          border: 0,
          borderTop: '1px solid var(--ink)',
          borderRadius: 0,
          '--DataGrid-t-header-background-base': 'var(--page)',
          backgroundColor: 'transparent',
          '& .MuiDataGrid-row': { borderBottom: '1px solid var(--hairline)' },
          '& .MuiDataGrid-row:hover': { cursor: 'pointer' },
          '& .MuiDataGrid-columnHeaderTitle': { fontWeight: 650 },
        }}
        localeText={{ noRowsLabel: 'No piece matches. Clear a filter, or log a new piece.' }}
      />
    </>
  );
}
