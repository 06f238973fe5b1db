'use client';
import { useRouter } from 'next/navigation';
import { useMemo, useRef } from 'react';
import { ulid } from 'ulid';
import { isBlend, needsOf, placesOf, provedBy, usualPlace, type Cell, type NamedRecipe } from '@/core/rounds';
import type { StudioForm } from '@/records/pieces';
import type { KnownStack } from '@/records/rounds';
import { useMutation } from '@/ui/useMutation';
import { usePersistedState } from '@/ui/usePersistedState';
import { layOutRound } from '../actions';
import { FIRST_SETUP, KINDS, knownOf, named, pieceOf, questionOf, type Setup } from '../model/setup';
import { usePlan } from './usePlan';

/** Raised when what a set-up keeps changes its shape. */
const SETUP_VERSION = 2;

export interface RoundMakerOptions {
  readonly glazes: readonly NamedRecipe[];
  readonly bodies: readonly { readonly id: string; readonly name: string }[];
  readonly ownForms: readonly StudioForm[];
  readonly known: readonly KnownStack[];
  /** What a link asks to begin with; null for what was last worked on. */
  readonly start: Partial<Setup> | null;
}

/** A round as it is planned: its set-up, kept on this device, the tests that follow from it, and its saving. */
export function useRoundMaker({ glazes, bodies, ownForms, known, start }: RoundMakerOptions) {
  const router = useRouter();
  const [setup, setSetup, , drop] = usePersistedState<Setup>(
    start ? `jiten.round.${JSON.stringify(start)}` : 'jiten.round',
    { ...FIRST_SETUP, ...start },
    SETUP_VERSION,
  );
  const change = (part: Partial<Setup>) => setSetup((before) => ({ ...before, ...part }));
  const id = useRef(ulid());
  const { run, isBusy, errors } = useMutation();
  const errorOf = (field: string) => errors.find((error) => error.field === field)?.message;
  const chosenBodies = setup.bodies.filter((one) => bodies.some((body) => body.id === one));
  const bodyId = chosenBodies[0] ?? bodies[0]?.id ?? '';
  const piece = useMemo(() => pieceOf(setup, ownForms), [setup, ownForms]);
  // A round that nobody chose a clay for stands on the first.
  const question = useMemo(
    () => questionOf(setup.bodies.length ? setup : { ...setup, bodies: bodyId ? [bodyId] : [] }, piece),
    [setup, piece, bodyId],
  );
  const { plan, aliases } = usePlan(question, glazes);
  const cells = typeof plan === 'string' ? [] : plan.cells;
  const byEntry = useMemo(() => new Map(known.map((one) => [one.entry, one])), [known]);
  const kindOf = (id: string) => glazes.find((glaze) => glaze.id === id)?.kind ?? 'glaze';
  const target = { cone: setup.cone, atmosphere: setup.atmosphere };
  const proofOf = (cell: Cell) => knownOf(cell, { piece, bodyId, target, kindOf }, byEntry);
  const isOut = (cell: Cell) => {
    const proof = proofOf(cell);
    const proved = proof !== undefined && provedBy(proof) === 'proved';
    return setup.out.includes(cell.label) || (proved && !setup.taken.includes(cell.label));
  };
  const inside = cells.filter((cell) => !isOut(cell));
  const { ring, isWaxed } = setup;
  const needs = needsOf(inside, setup.twins, piece, {
    ...{ isWaxed, clayGrams: piece.clayGrams },
    ring: piece.form === 'ring strip' ? ring : undefined,
  });
  const turn = (cell: Cell) => {
    const without = (list: readonly string[]) => list.filter((label) => label !== cell.label);
    if (isOut(cell)) change({ out: without(setup.out), taken: [...without(setup.taken), cell.label] });
    else change({ out: [...without(setup.out), cell.label], taken: without(setup.taken) });
  };
  const save = async () => {
    if (typeof plan === 'string' || inside.length === 0) return;
    const first = glazes.find((glaze) => glaze.id === Object.keys(inside[0]!.parts)[0]);
    const draft = {
      id: id.current,
      name: setup.name || [KINDS[setup.kind], first?.name].filter(Boolean).join(': '),
      kind: setup.kind,
      setup,
      shape: plan.shape,
      rows: plan.rows,
      columns: plan.columns,
      form: piece.form,
      formId: piece.formId,
      heightMm: piece.heightMm,
      widthMm: piece.widthMm,
      twins: setup.twins,
      cone: setup.cone,
      atmosphere: setup.atmosphere,
      dueOn: setup.dueOn,
      colour: first?.colour ?? '#888888',
      cells: inside.map((cell) => ({
        label: cell.label,
        row: cell.row,
        column: cell.column,
        words: named(cell.words, [...glazes, ...bodies]),
        parts: cell.parts,
        recipe: isBlend(setup.kind) ? (cell.lines ?? null) : null,
        stack: cell.stack ?? null,
        bodyId: cell.body ?? bodyId,
        texture: cell.texture ?? null,
        block: cell.block ?? 0,
        ...(cell.target ?? target),
      })),
    };
    if ((await run(() => layOutRound(draft))) === undefined) return;
    drop();
    router.push(`/rounds/${id.current}`);
  };
  return {
    ...{ setup, change, errors, errorOf, isBusy, bodyId, piece, plan, aliases, cells, inside, needs },
    places: [...new Set([usualPlace(piece), ...placesOf(piece).map(({ name }) => name)])],
    ...{ isOut, proofOf, turn, save },
  };
}

export type RoundMakerState = ReturnType<typeof useRoundMaker>;
