'use client';
import Alert from '@mui/material/Alert';
import { useEffect, useMemo, useRef, useState } from 'react';
import { wrap, type Remote } from 'comlink';
import { analyse, materialBook, type Line } from '@/core/chemistry';
import { mixRecipes, type TriaxialCell } from '@/core/recipe';
import type { StudioMaterial } from '@/records/materials';
import type { BlendWorker } from '@/workers/blend.worker';
import { Choice, PageHeader } from '@/ui/kit';
import { LinkButton } from '@/ui/LinkButton';
import { useAddress } from '@/ui/useAddress';
import { ExpansionBand } from './ExpansionBand';
import { UnityTable } from './UnityTable';
import { SHOWN, shadeOf, type Shown } from '../model/shade';
import { Triangle } from './Triangle';
import css from './blend.module.css';

interface Props {
  readonly recipes: readonly {
    readonly glazeId: string;
    readonly name: string;
    readonly lines: readonly Line[];
  }[];
  readonly materials: readonly StudioMaterial[];
}

const STEPS = ['6', '11', '21', '61'] as const;

/** Three recipes and everything between them: every cell of the triaxial calculated, walked by mouse or arrows. */
export function BlendView({ recipes, materials }: Props) {
  const { params: asked, change } = useAddress();
  const names = recipes.map((recipe) => recipe.name);
  const corner = (key: string, fallback: number) => {
    const name = asked.get(key);
    return names.includes(name ?? '') ? name! : (names[fallback] ?? null);
  };
  const chosen = [corner('a', 0), corner('b', 1), corner('c', 2)];
  const steps = STEPS.find((one) => one === asked.get('steps')) ?? '11';
  const shown = (SHOWN as readonly string[]).includes(asked.get('show') ?? '')
    ? (asked.get('show') as Shown)
    : 'expansion';
  const set = (key: string, value: string | null) => change((next) => value && next.set(key, value));
  const chosenKey = chosen.join('|');
  const corners = useMemo(
    () => chosenKey.split('|').map((name) => recipes.find((recipe) => recipe.name === name)?.lines ?? []),
    [chosenKey, recipes],
  );
  const { cells, failed } = useCells(corners, Number(steps), materials);
  const [at, setAt] = useState(0);
  const cell = cells?.[Math.min(at, cells.length - 1)];
  const analysis = useMemo(
    () => (cell ? analyse(mixRecipes(corners, cell.parts), { book: materialBook(materials) }) : null),
    [cell, corners, materials],
  );
  const scale = useMemo(() => shadeOf(cells ?? [], shown), [cells, shown]);
  return (
    <>
      <PageHeader first="Triaxial blend">
        <h1>Triaxial blend</h1>
        <LinkButton href="/glazes">Glazes</LinkButton>
      </PageHeader>
      {names.length < 3 ? (
        <p>Three glazes with recipes are needed. Add a recipe on a glaze’s page first.</p>
      ) : (
        <>
          <div className={css.fields}>
            {(['a', 'b', 'c'] as const).map((key, i) => (
              <Choice
                key={key}
                label={`Glaze at corner ${key.toUpperCase()}`}
                options={names}
                value={chosen[i] ?? null}
                onChange={(name) => set(key, name)}
              />
            ))}
            <Choice
              label="Cells along an edge"
              options={STEPS}
              value={steps}
              onChange={(n) => set('steps', n)}
            />
            <Choice label="Show" options={SHOWN} value={shown} onChange={(what) => set('show', what)} />
          </div>
          {failed && <Alert severity="error">{failed}</Alert>}
          <div className={css.columns}>
            <div>
              <Triangle
                cells={cells ?? []}
                steps={Number(steps)}
                names={chosen.map((name) => name ?? '')}
                scale={scale}
                at={at}
                onAt={setAt}
              />
              <p role="status" className="small quiet">
                {cells ? `${cells.length} cells. ${scale.words}` : 'Calculating'}
              </p>
            </div>
            {cell && analysis && (
              <div className={css.cell}>
                <h2>
                  {cell.parts
                    .map((part, i) => (part ? `${(part * 100).toFixed(0)} % ${chosen[i]}` : ''))
                    .filter(Boolean)
                    .join(', ')}
                </h2>
                <p>
                  {scale.of(cell)} <span className="quiet">{shown}</span>
                </p>
                <UnityTable analysis={analysis} />
                <ExpansionBand analysis={analysis} />
              </div>
            )}
          </div>
        </>
      )}
    </>
  );
}

/** The cells, calculated in a worker; the last answer stays until the next is there. */
function useCells(corners: readonly (readonly Line[])[], steps: number, own: readonly StudioMaterial[]) {
  const worker = useRef<{ thread: Worker; face: Remote<BlendWorker> } | null>(null);
  const [cells, setCells] = useState<readonly TriaxialCell[] | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  useEffect(() => {
    const thread = new Worker(new URL('@/workers/blend.worker.ts', import.meta.url), { type: 'module' });
    worker.current = { thread, face: wrap<BlendWorker>(thread) };
    return () => thread.terminate();
  }, []);
  useEffect(() => {
    let stale = false;
    if (corners.some((lines) => lines.length === 0)) return;
    worker.current?.face
      .cells(corners, steps, own)
      .then((answer) => {
        if (stale) return;
        setCells(answer);
        setFailed(null);
      })
      .catch((error: Error) => !stale && setFailed(`Could not be calculated: ${error.message}`));
    return () => {
      stale = true;
    };
  }, [corners, steps, own]);
  return { cells, failed };
}
