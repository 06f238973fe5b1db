'use client';
import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { ReactNode } from 'react';
import { heldText } from '@/core/units';
import { NumberField } from '@/ui/kit';
import { Said } from '@/ui/units';
import { drawable, drawnAreas, movedCoat, withCoat, type FormChoice, type GlazeChoice } from '../model/draft';
import { CoatList } from './CoatList';
import css from './pieces.module.css';
import type { PieceEditorState } from './usePieceEditor';
import { ZoneList } from './ZoneList';

interface Props {
  readonly of: PieceEditorState;
  readonly glazes: readonly GlazeChoice[];
  readonly firingNames: Readonly<Record<string, string>>;
  readonly isCorrection: boolean;
  /** Bands that are usual on the studio's own form. */
  readonly bands: FormChoice['bands'];
  readonly bodyOf: (id: string) => string;
  readonly onRemove: (index: number) => void;
  /** Notes for the next time about what is chosen. */
  readonly nextTime: ReactNode;
}

/** The coats of a piece, what they test, and the button that saves it. */
export function PieceCoats({
  of,
  glazes,
  firingNames,
  isCorrection,
  bands,
  bodyOf,
  onRemove,
  nextTime,
}: Props) {
  const { draft, change, coats, warnings, nameOf, errorOf, selected, setSelected, twins, setTwins } = of;
  return (
    <section className={css.how} aria-label="Coats and zones">
      <h3>Coats, in order of application</h3>
      {nextTime}
      <CoatList
        draft={draft}
        glazes={glazes}
        bands={bands}
        selected={selected}
        firingNames={new Map(Object.entries(firingNames))}
        errorOf={errorOf}
        onSelect={setSelected}
        onChange={(i, c) => change((b) => withCoat(b, i, c))}
        onPut={change}
        onMove={(from, to) => {
          change((b) => movedCoat(b, from, to));
          setSelected(to);
        }}
        onRemove={(i) => {
          onRemove(i);
        }}
      />
      <Autocomplete
        key={draft.coats.length}
        options={glazes}
        getOptionLabel={(glaze) => glaze.name}
        groupBy={(glaze) => glaze.kind}
        value={null}
        autoHighlight
        onChange={(_, glaze) => of.add(glaze)}
        renderOption={({ key: optionKey, ...props }, glaze) => (
          <li key={optionKey} {...props}>
            <span className={css.chip} style={{ background: glaze.colour, marginRight: 10 }} />
            {glaze.name}
          </li>
        )}
        renderInput={(params) => (
          <TextField
            {...params}
            label={draft.coats.length ? 'Add a coat over it' : 'Add the first coat'}
            placeholder="Type two letters"
          />
        )}
      />
      <h3>What this piece tests</h3>
      <ZoneList
        areas={drawnAreas(draft)}
        piece={drawable(draft)}
        body={draft.bodyId}
        {...{ coats, nameOf, bodyOf }}
      />
      {warnings.length > 0 && (
        <ul className={css.warnings} aria-label="Mind">
          {warnings.map((words) => (
            <li key={heldText(words)}>
              <Said of={words} />
            </li>
          ))}
        </ul>
      )}
      <div className={css.saveRow}>
        {!isCorrection && (
          <NumberField
            label="How many"
            value={twins}
            onChange={(n) => {
              setTwins(Math.max(1, Math.min(60, Math.round(n ?? 1))));
            }}
            sx={{ width: 110 }}
          />
        )}
        <Button
          variant="contained"
          onClick={() => void of.save()}
          disabled={of.isBusy || of.saved !== null}
          title="Save (Ctrl Enter)"
        >
          {of.isBusy
            ? 'Saving'
            : of.saved
              ? 'Saved'
              : isCorrection
                ? 'Save correction'
                : twins > 1
                  ? `Save ${twins} twins`
                  : 'Save'}
        </Button>
      </div>
    </section>
  );
}
