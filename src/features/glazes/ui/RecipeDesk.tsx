'use client';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { useMemo, useState } from 'react';
import { useSaveKey } from '@/ui/useSaveKey';
import { analyse, isKnownEnough, unknownIn, type AnalysisResult, type Line } from '@/core/chemistry';
import { COAT_THICKNESS } from '@/core/fit';
import { drySpecificGravity, onTop } from '@/core/recipe';
import type { Reminder } from '@/records/reminders';
import type { BatchHistory, Glaze, StudioMaterial, RecipeVersion } from '@/records/materials';
import { BatchSheet } from './BatchSheet';
import { ExpansionBand } from './ExpansionBand';
import { FitRulers, type ClayFit } from './FitRulers';
import { GlazeMap, type MapPoint } from './GlazeMap';
import { RecipeText } from './RecipeText';
import { SlopPanel } from './SlopPanel';
import { UnityTable } from './UnityTable';
import { UnknownNote } from './UnknownNote';
import { useRecipeDesk } from './useRecipeDesk';
import { Versions } from './Versions';
import { WhatIf } from './WhatIf';
import css from './glaze.module.css';

interface Props {
  readonly glaze: Pick<Glaze, 'id' | 'name' | 'colour' | 'versionId'>;
  readonly versions: readonly RecipeVersion[];
  readonly materials: readonly StudioMaterial[];
  readonly aliases: Readonly<Record<string, string>>;
  readonly clays: readonly ClayFit[];
  readonly others: readonly { readonly name: string; readonly lines: readonly Line[] }[];
  readonly batches: readonly BatchHistory[];
  readonly bucketNotes: readonly Reminder[];
  readonly mayChange: boolean;
}

/** The recipe at work: everything that follows from it is worked out as it is typed. */
export function RecipeDesk(props: Props) {
  const { glaze, versions, clays, batches, bucketNotes, mayChange } = props;
  const state = useRecipeDesk(props);
  const { book, understood, opened, changed, take, save } = state;
  const [thicknessMm, setThickness] = useState<number>(COAT_THICKNESS.dipped.fired);
  const [colourants, setColourants] = useState(false);
  const options = useMemo(() => ({ book, colourantsAsFlux: colourants }), [book, colourants]);
  const analysis = useMemo(() => analyse(understood.lines, options), [understood, options]);
  const unknown = useMemo(() => unknownIn(understood.lines, book), [understood, book]);
  const isPlaced = isKnownEnough(understood.lines, book);
  const points = useMapPoints(props, isPlaced ? analysis : NOTHING, options);
  useSaveKey(() => void save(), { enabled: mayChange });
  return (
    <div className={css.desk}>
      <div className={`${css.columns} no-print`} id="recipe">
        <RecipeText of={state} mayChange={mayChange} />
        <div className={css.chemistry}>
          <UnknownNote unknown={unknown} />
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
          <UnknownNote unknown={unknown} />
          <ExpansionBand analysis={analysis} />
          {!isPlaced && (
            <p>Too much of it is unknown to place it on the map, to judge its fit or to plan a ladder.</p>
          )}
          <GlazeMap points={points} />
        </div>
      </div>
      <div className="no-print">
        <FitRulers
          glazeId={glaze.id}
          expansion={isPlaced ? analysis.expansion.appen : null}
          unknown={unknown}
          clays={clays}
          thicknessMm={thicknessMm}
          onThickness={setThickness}
        />
        <WhatIf lines={understood.lines} {...{ book, clays, thicknessMm, unknown, isPlaced }} onTake={take} />
      </div>
      <BatchSheet
        glazeId={glaze.id}
        title={`${glaze.name}, ${changed ? 'not saved' : `version ${opened.number}`}`}
        lines={understood.lines}
        book={book}
      />
      <SlopPanel
        batches={batches}
        reminders={bucketNotes}
        dry={opened.lines?.length ? drySpecificGravity(opened.lines, book) : 2.6}
        perBase={opened.lines?.length ? onTop(opened.lines) : 1}
      />
      <Versions
        versions={versions}
        colour={glaze.colour}
        inUse={{ glazeId: glaze.id, versionId: glaze.versionId }}
        mayChange={mayChange}
        onTake={take}
      />
    </div>
  );
}

/** The chemistry of nothing: what is not known well enough is placed nowhere. */
const NOTHING = analyse([]);

/** Where this recipe, its versions and the studio's other glazes lie on the map. */
function useMapPoints(
  { glaze, versions, others }: Pick<Props, 'glaze' | 'versions' | 'others'>,
  analysis: AnalysisResult,
  options: Parameters<typeof analyse>[1],
): MapPoint[] {
  return useMemo(
    (): MapPoint[] => [
      { name: `${glaze.name}, as typed`, analysis, kind: 'this' },
      ...versions.flatMap((version): MapPoint[] =>
        version.lines && isKnownEnough(version.lines, options?.book)
          ? [
              {
                name: `Version ${version.number}`,
                analysis: analyse(version.lines, options),
                kind: 'version',
              },
            ]
          : [],
      ),
      ...others
        .filter(({ lines }) => isKnownEnough(lines, options?.book))
        .map(({ name, lines }): MapPoint => ({ name, analysis: analyse(lines, options), kind: 'other' })),
    ],
    [analysis, glaze.name, options, others, versions],
  );
}
