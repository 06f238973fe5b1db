'use client';
import { figures, shortFigures } from '@/core/units';
import Close from '@mui/icons-material/Close';
import Autocomplete from '@mui/material/Autocomplete';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import { useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import { cautionsOf, searchMaterials, type MaterialBook } from '@/core/chemistry';
import { baseTotal } from '@/core/recipe';
import { withBlankEnd, type RecipeText, type RecipeRow, type Understood } from '../model/glazeDraft';
import css from './glaze.module.css';

interface Props {
  readonly text: RecipeText;
  readonly understood: Understood;
  readonly errors: Readonly<Record<string, string>>;
  readonly book: MaterialBook;
  readonly onChange: (text: RecipeText) => void;
  /** Several lines were pasted into a field. */
  readonly onPaste: (pasted: string) => void;
}

const focusOn = (id: string) => setTimeout(() => document.getElementById(id)?.focus());

/** The recipe as it is typed: a material by two letters, its amount, Enter; the base above, additions below. */
export function RecipeEditor({ text, understood, errors, book, onChange, onPaste }: Props) {
  const total = baseTotal(understood.lines);
  const setRows = (list: 'base' | 'additions', rows: readonly RecipeRow[]) =>
    onChange({ ...text, [list]: withBlankEnd(rows) });
  const part = (list: 'base' | 'additions') => (
    <tbody>
      {text[list].map((row, i) => (
        <RowFields
          key={row.key}
          row={row}
          name={list === 'base' ? `Base ${i + 1}` : `Addition ${i + 1}`}
          error={errors[row.key]}
          hint={understood.hints[row.key]}
          book={book}
          percent={list === 'base' && total > 0 ? Number(row.amount.replace(',', '.')) / total : null}
          onChange={(change) =>
            setRows(
              list,
              text[list].map((one) => (one.key === row.key ? { ...one, ...change } : one)),
            )
          }
          onRemove={() =>
            setRows(
              list,
              text[list].filter((one) => one.key !== row.key),
            )
          }
          onPaste={onPaste}
          onNext={() => {
            const next = text[list][i + 1] ?? (list === 'base' ? text.additions[0] : undefined);
            if (next) focusOn(`${next.key}-material`);
          }}
        />
      ))}
    </tbody>
  );
  return (
    <table className={css.recipe} aria-label="Recipe">
      <thead>
        <tr>
          <th scope="col">Base</th>
          <th scope="col">Parts</th>
          <th scope="col">%</th>
          <td />
        </tr>
      </thead>
      {part('base')}
      <tbody>
        <tr className={css.sum}>
          <th scope="row">Adds up to</th>
          <td className="figures">{shortFigures(total, 2)}</td>
          <td className="figures">{total > 0 ? figures(100, 2) : ''}</td>
          <td />
        </tr>
        <tr>
          <th scope="col" colSpan={3} className={css.onTop}>
            Additions, % of base
          </th>
          <td />
        </tr>
      </tbody>
      {part('additions')}
    </table>
  );
}

interface RowProps {
  readonly row: RecipeRow;
  readonly name: string;
  readonly error: string | undefined;
  readonly hint: string | undefined;
  readonly book: MaterialBook;
  readonly percent: number | null;
  readonly onChange: (change: Partial<RecipeRow>) => void;
  readonly onRemove: () => void;
  readonly onPaste: (pasted: string) => void;
  readonly onNext: () => void;
}

function RowFields({ row, name, error, hint, book, percent, onChange, onRemove, onPaste, onNext }: RowProps) {
  const [highlighted, setHighlighted] = useState<string | null>(null);
  const known = book.find(row.material);
  const cautions = known ? cautionsOf(known) : [];
  const blank = row.material === '' && row.amount === '';
  const paste = (event: ClipboardEvent) => {
    const pasted = event.clipboardData.getData('text/plain');
    if (!pasted.trim().includes('\n')) return;
    event.preventDefault();
    onPaste(pasted);
  };
  const options = searchMaterials(book, row.material).map((material) => material.name);
  // What two letters come to: the name walked to in the list, else the likeliest; a name of one's own stays.
  const walked = highlighted !== null && options.includes(highlighted) ? highlighted : options[0];
  const meant = known ? row.material : (walked ?? row.material);
  return (
    <>
      <tr>
        <td>
          <Autocomplete
            id={`${row.key}-material`}
            freeSolo
            autoHighlight
            openOnFocus={false}
            disableClearable
            options={options}
            filterOptions={(all) => all}
            inputValue={row.material}
            value={row.material}
            onInputChange={(_, material, why) => why !== 'reset' && onChange({ material })}
            onChange={(_, material) => {
              onChange({ material });
              focusOn(`${row.key}-amount`);
            }}
            onHighlightChange={(_, option) => setHighlighted(option)}
            renderInput={(params) => (
              <TextField
                {...params}
                placeholder={blank ? 'Material' : ''}
                slotProps={{
                  ...params.slotProps,
                  htmlInput: { ...params.slotProps.htmlInput, 'aria-label': `${name}, material` },
                }}
                onPaste={paste}
                onKeyDown={(event: KeyboardEvent & { defaultMuiPrevented?: boolean }) => {
                  const enter = event.key === 'Enter' && !event.ctrlKey && !event.metaKey;
                  if (!enter && (event.key !== 'Tab' || event.shiftKey)) return;
                  if (meant !== row.material) onChange({ material: meant });
                  if (!enter) return;
                  // Enter goes on at once, however fast the letters came before it.
                  event.defaultMuiPrevented = true;
                  event.preventDefault();
                  if (blank) onNext();
                  else focusOn(`${row.key}-amount`);
                }}
              />
            )}
          />
        </td>
        <td>
          <TextField
            id={`${row.key}-amount`}
            value={row.amount}
            error={Boolean(error)}
            onChange={(event) => onChange({ amount: event.target.value })}
            onPaste={paste}
            onKeyDown={(event) => {
              if (event.key !== 'Enter' || event.ctrlKey || event.metaKey) return;
              event.preventDefault();
              onNext();
            }}
            slotProps={{
              htmlInput: { inputMode: 'decimal', className: 'figures', 'aria-label': `${name}, amount` },
            }}
          />
        </td>
        <td className="figures">
          {percent === null || Number.isNaN(percent) || blank ? '' : figures(percent * 100, 2)}
        </td>
        <td>
          {!blank && (
            <IconButton
              size="small"
              aria-label={`Take ${row.material || name} out`}
              onClick={onRemove}
              tabIndex={-1}
            >
              <Close fontSize="small" />
            </IconButton>
          )}
        </td>
      </tr>
      {(error || hint || cautions.length > 0) && (
        <tr className={css.notes}>
          <td colSpan={4}>
            {error && (
              <span className="heat" role="alert">
                {error}{' '}
              </span>
            )}
            {!error && hint && <b>{hint} </b>}
            {cautions.length > 0 && (
              <details>
                <summary>Caution when weighing</summary>
                {cautions.join(' ')}
              </details>
            )}
          </td>
        </tr>
      )}
    </>
  );
}
