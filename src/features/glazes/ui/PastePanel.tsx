'use client';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMemo } from 'react';
import type { Line, MaterialBook } from '@/core/chemistry';
import { parseRecipe, usableLines } from '@/core/recipe';
import css from './glaze.module.css';

interface Props {
  readonly pasted: string;
  readonly book: MaterialBook;
  readonly onChange: (pasted: string) => void;
  readonly onUse: (lines: readonly Line[]) => void;
  readonly onClose: () => void;
}

/** A pasted recipe, and beside each line what was understood of it. */
export function PastePanel({ pasted, book, onChange, onUse, onClose }: Props) {
  const parsed = useMemo(() => parseRecipe(pasted, book), [pasted, book]);
  const lines = usableLines(parsed);
  return (
    <section className={css.paste} aria-label="Paste a recipe">
      <TextField
        label="Paste a recipe, one ingredient a line, + before each addition"
        multiline
        minRows={5}
        maxRows={14}
        autoFocus={pasted === ''}
        value={pasted}
        onChange={(event) => onChange(event.target.value)}
        onKeyDown={(event) => event.key === 'Escape' && onClose()}
      />
      {parsed.lines.length > 0 && (
        <table aria-label="What was understood">
          <tbody>
            {parsed.lines.map((line, i) => (
              <tr key={i}>
                <td className="figures">{line.amount ?? ''}</td>
                <td>
                  {line.material}
                  {line.addition && <i className="quiet"> addition</i>}
                </td>
                <td>
                  {line.error ? (
                    <span className="heat">{line.error}</span>
                  ) : line.known ? (
                    <span className="good">known</span>
                  ) : (
                    <b>not in your materials list</b>
                  )}
                </td>
              </tr>
            ))}
            {parsed.passedOver.map((written, i) => (
              <tr key={`passed${i}`} className="quiet">
                <td />
                <td>{written}</td>
                <td>skipped</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className={css.buttons}>
        <Button
          variant="contained"
          disabled={lines.length === 0}
          autoFocus={pasted !== ''}
          onClick={() => onUse(lines)}
        >
          Use {lines.length === 1 ? 'this line' : `these ${lines.length} lines`}
        </Button>
        <Button onClick={onClose}>Cancel</Button>
      </p>
    </section>
  );
}
