'use client';
import { DataTable, FormErrors } from '@/ui/kit';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMemo } from 'react';
import { searchMaterials, type Line, type MaterialBook } from '@/core/chemistry';
import { parseRecipe, usableLines, type ParsedLine } from '@/core/recipe';
import { useMutation } from '@/ui/useMutation';
import { useUndo } from '@/ui/Undo';
import { saveAlias } from '../actions';
import css from './glaze.module.css';

interface Props {
  readonly pasted: string;
  readonly book: MaterialBook;
  readonly onChange: (pasted: string) => void;
  readonly onUse: (lines: readonly Line[]) => void;
  readonly onClose: () => void;
}

/** The pasted text with another name for the material of one line. */
function replaced(pasted: string, { written, material }: ParsedLine, name: string): string {
  return pasted.replace(written, written.replace(material, name));
}

/** A pasted recipe, and beside each line what was understood of it. */
export function PastePanel({ pasted, book, onChange, onUse, onClose }: Props) {
  const { run, errors } = useMutation();
  const { offer, line: undo } = useUndo();
  const parsed = useMemo(() => parseRecipe(pasted, book), [pasted, book]);
  const lines = usableLines(parsed);
  const likely = (written: string) => searchMaterials(book, written.split(' ')[0] ?? '', 2);
  const mean = async (line: ParsedLine, material: string) => {
    const said = { name: line.material, material };
    onChange(replaced(pasted, line, material));
    if ((await run(() => saveAlias(said))) === undefined) return;
    offer(`“${said.name}” means ${material} from now on.`, () => {
      onChange(pasted);
      void run(() => saveAlias({ ...said, material: null }));
    });
  };
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
        <DataTable
          label="What was understood"
          hasHeadings={false}
          columns={[{ name: 'Amount', align: 'right' }, { name: 'Material' }, { name: 'Known' }]}
          rows={[
            ...parsed.lines.map((line, i) => ({
              key: `line${i}`,
              cells: [
                line.amount,
                <span key="material">
                  {line.material}
                  {line.addition && <i className="quiet"> addition</i>}
                </span>,
                line.error ? (
                  <span key="error" className="heat">
                    {line.error}
                  </span>
                ) : line.known ? (
                  <span key="known" className="good">
                    known
                  </span>
                ) : (
                  <span key="unknown">
                    <b>not in your materials list</b>{' '}
                    {likely(line.material).map(({ name }) => (
                      <Button key={name} size="small" onClick={() => void mean(line, name)}>
                        Same as {name}?
                      </Button>
                    ))}
                  </span>
                ),
              ],
            })),
            ...parsed.passedOver.map((written, i) => ({
              key: `skipped${i}`,
              cells: [
                '',
                <span key="written" className="quiet">
                  {written}
                </span>,
                <span key="skipped" className="quiet">
                  skipped
                </span>,
              ],
            })),
          ]}
        />
      )}
      {undo}
      <FormErrors errors={errors} />
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
