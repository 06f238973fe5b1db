'use client';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { ulid } from 'ulid';
import { analyse, materialBook, type Line } from '@/core/chemistry';
import { COAT_THICKNESS } from '@/core/fit';
import { differenceOf, drySpecificGravity } from '@/core/recipe';
import type { BatchHistory, StudioMaterial, RecipeVersion, OtherRecipe } from '@/records/materials';
import { ConflictNotice, FormErrors, TitleRow } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { usePersistedState } from '@/ui/usePersistedState';
import { saveRecipeText } from '../actions';
import { BatchSheet } from './BatchSheet';
import { textOf, understand, unfinished, withBlankEnd, type RecipeText } from '../model/glazeDraft';
import { ExpansionBand } from './ExpansionBand';
import { FitRulers, type ClayFit } from './FitRulers';
import { GlazeMap, type MapPoint } from './GlazeMap';
import { PastePanel } from './PastePanel';
import { RecipeEditor } from './RecipeEditor';
import { SlopPanel } from './SlopPanel';
import { UnityTable } from './UnityTable';
import { Versions } from './Versions';
import { WhatIf } from './WhatIf';
import css from './glaze.module.css';

/** The version that what is typed here comes after; a conflict hands the other person's over. */
type Followed = Pick<RecipeVersion, 'id' | 'lines'>;

interface Props {
  readonly glaze: { readonly id: string; readonly name: string; readonly colour: string };
  readonly versions: readonly RecipeVersion[];
  readonly materials: readonly StudioMaterial[];
  readonly clays: readonly ClayFit[];
  readonly others: readonly { readonly name: string; readonly lines: readonly Line[] }[];
  readonly batches: readonly BatchHistory[];
  readonly mayChange: boolean;
}

/** The recipe at work: everything that follows from it is worked out as it is typed. */
export function RecipeDesk({ glaze, versions, materials, clays, others, batches, mayChange }: Props) {
  const router = useRouter();
  // What the writer had before them when they began; a newer version from somebody else is noticed against it.
  const [opened, setOpened] = useState(versions[0]!);
  const start = useMemo(() => textOf(opened.lines ?? [], opened.id), [opened]);
  const [text, setText, found, drop] = usePersistedState<RecipeText>(
    `jiten.recipe.${glaze.id}.${opened.id}`,
    start,
  );
  const [pasted, setPasted] = useState<string | null>(null);
  const [thicknessMm, setThickness] = useState(COAT_THICKNESS.dipped.fired);
  const [colourants, setColourants] = useState(false);
  const [tried, setTried] = useState(false);
  const [saved, setSaved] = useState<number | null>(null);
  const newId = useRef(ulid());
  const { run, isBusy, errors, theirs } = useMutation<OtherRecipe>();

  const book = useMemo(() => materialBook(materials), [materials]);
  const understood = useMemo(() => understand(text, book), [text, book]);
  const options = useMemo(() => ({ book, colourantsAsFlux: colourants }), [book, colourants]);
  const analysis = useMemo(() => analyse(understood.lines, options), [understood, options]);
  const changed = differenceOf(opened.lines ?? [], understood.lines).length > 0;
  const points = useMemo(
    (): MapPoint[] => [
      { name: `${glaze.name}, as typed`, analysis, kind: 'this' },
      ...versions.flatMap((version): MapPoint[] =>
        version.lines
          ? [
              {
                name: `Version ${version.number}`,
                analysis: analyse(version.lines, options),
                kind: 'version',
              },
            ]
          : [],
      ),
      ...others.map(({ name, lines }): MapPoint => ({
        name,
        analysis: analyse(lines, options),
        kind: 'other',
      })),
    ],
    [analysis, glaze.name, options, others, versions],
  );
  const newest = versions[0]!;
  const overtaken =
    newest.id !== opened.id || (newest.lines !== null && opened.lines === null && saved === null);
  useEffect(() => {
    const look = () => document.visibilityState === 'visible' && router.refresh();
    document.addEventListener('visibilitychange', look);
    return () => document.removeEventListener('visibilitychange', look);
  }, [router]);

  const missing = unfinished(text);
  const wrong = tried ? { ...missing, ...understood.errors } : understood.errors;
  const change = (next: RecipeText) => {
    setSaved(null);
    setText(next);
  };
  const take = (lines: readonly Line[], note: string) => {
    change({ ...textOf(lines, ulid()), note });
    setPasted(null);
    document.getElementById('recipe')?.scrollIntoView({ block: 'start' });
  };
  const save = async (follows: Followed = opened) => {
    setTried(true);
    if (Object.keys({ ...missing, ...understood.errors }).length || understood.whole) return;
    const number = await run(() =>
      saveRecipeText({
        id: newId.current,
        glazeId: glaze.id,
        follows: follows.id,
        wasWritten: follows.lines !== null,
        lines: understood.lines,
        note: text.note,
      }),
    );
    if (number === undefined) return;
    drop();
    setSaved(number);
    setTried(false);
    newId.current = ulid();
  };
  // After a save, and when nothing was typed yet, the newest version is what lies open.
  if (newest !== opened && (saved !== null ? newest.number >= saved : !changed && !found)) setOpened(newest);
  useHotkeys('mod+enter', () => void save(), { enableOnFormTags: true, enabled: mayChange });

  return (
    <div className={css.desk}>
      <div className={`${css.columns} no-print`} id="recipe">
        <div>
          <TitleRow>
            <h2>Recipe</h2>
            {mayChange && pasted === null && (
              <Button size="small" onClick={() => setPasted('')}>
                Paste a recipe
              </Button>
            )}
          </TitleRow>
          {pasted !== null && (
            <PastePanel
              pasted={pasted}
              book={book}
              onChange={setPasted}
              onUse={(lines) => take(lines, text.note)}
              onClose={() => setPasted(null)}
            />
          )}
          <RecipeEditor
            text={{ ...text, base: withBlankEnd(text.base), additions: withBlankEnd(text.additions) }}
            understood={understood}
            errors={wrong}
            book={book}
            onChange={change}
            onPaste={setPasted}
          />
          {understood.whole && (
            <p className="heat" role="alert">
              {understood.whole}
            </p>
          )}
          {overtaken && saved === null && !theirs && (
            <p className="heat" role="status">
              {newest.by ?? 'Somebody'} saved version {newest.number} while this was open. What you typed is
              still here; the versions below show both.
            </p>
          )}
          {theirs ? (
            <ConflictNotice
              rows={differenceOf(theirs.lines ?? [], understood.lines).map((row) => ({
                name: row.material,
                mine: row.after === null ? 'none' : row.after.toFixed(2),
                theirs: row.before === null ? 'none' : row.before.toFixed(2),
              }))}
              onKeepMine={() => void save(theirs)}
            />
          ) : (
            <FormErrors errors={errors} />
          )}
          {mayChange && (
            <div className={css.save}>
              <TextField
                label="What changed, and why"
                value={text.note}
                onChange={(event) => change({ ...text, note: event.target.value })}
              />
              <Button
                variant="contained"
                disabled={isBusy || !changed || understood.lines.length === 0}
                onClick={() => void save()}
                title="Ctrl Enter"
              >
                {isBusy
                  ? 'Saving'
                  : opened.lines === null
                    ? 'Save recipe'
                    : `Save as version ${opened.number + 1}`}
              </Button>
            </div>
          )}
          <p role="status" className="small">
            {saved !== null && <span className="good">Saved as version {saved}. </span>}
            {found && changed && <span className="quiet">Kept on this device, not saved yet.</span>}
          </p>
        </div>
        <div className={css.chemistry}>
          <UnityTable analysis={analysis} />
          <FormControlLabel
            control={
              <Switch
                size="small"
                checked={colourants}
                onChange={(event) => setColourants(event.target.checked)}
              />
            }
            label="Count colouring oxides in the flux"
          />
          <ExpansionBand analysis={analysis} />
          <GlazeMap points={points} />
        </div>
      </div>
      <div className="no-print">
        <FitRulers
          glazeId={glaze.id}
          expansion={analysis.expansion.appen}
          clays={clays}
          thicknessMm={thicknessMm}
          onThickness={setThickness}
        />
        <WhatIf lines={understood.lines} book={book} clays={clays} thicknessMm={thicknessMm} onTake={take} />
      </div>
      <BatchSheet
        glazeId={glaze.id}
        title={`${glaze.name}, ${changed ? 'not saved' : `version ${opened.number}`}`}
        lines={understood.lines}
        book={book}
      />
      <SlopPanel
        batches={batches}
        dry={opened.lines?.length ? drySpecificGravity(opened.lines, book) : 2.6}
      />
      <Versions versions={versions} colour={glaze.colour} onTake={take} />
    </div>
  );
}
