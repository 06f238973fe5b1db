'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useRef, useState } from 'react';
import { ulid } from 'ulid';
import { materialBook, type Line } from '@/core/chemistry';
import { differenceOf } from '@/core/recipe';
import type { OtherRecipe, RecipeVersion, StudioMaterial } from '@/records/materials';
import { useMutation } from '@/ui/useMutation';
import { usePersistedState } from '@/ui/usePersistedState';
import { saveRecipeText } from '../actions';
import { textOf, understand, unfinished, type RecipeText } from '../model/glazeDraft';

/** The version that what is typed here comes after; a conflict hands the other person's over. */
type Followed = Pick<RecipeVersion, 'id' | 'lines'>;

interface Options {
  readonly glaze: { readonly id: string; readonly versionId: string };
  /** The newest first. */
  readonly versions: readonly RecipeVersion[];
  readonly materials: readonly StudioMaterial[];
  /** Names of materials by what the studio calls them too. */
  readonly aliases: Readonly<Record<string, string>>;
}

/** A recipe as it is typed, kept on this device until it is saved as a version, and what others save meanwhile. */
export function useRecipeDesk({ glaze, versions, materials, aliases }: Options) {
  const router = useRouter();
  // What the writer had before them when they began; a newer version from somebody else is noticed against it.
  const [opened, setOpened] = useState(versions[0]!);
  const start = useMemo(() => textOf(opened.lines ?? [], opened.id), [opened]);
  const [text, setText, found, drop] = usePersistedState<RecipeText>(
    `jiten.recipe.${glaze.id}.${opened.id}`,
    start,
  );
  const [tried, setTried] = useState(false);
  const [saved, setSaved] = useState<number | null>(null);
  // The version that was saved from here last; what is typed after it follows it.
  const [mine, setMine] = useState<number | null>(null);
  const newId = useRef(ulid());
  const { run, isBusy, errors, theirs } = useMutation<OtherRecipe>();

  const book = useMemo(() => materialBook(materials, aliases), [materials, aliases]);
  const understood = useMemo(() => understand(text, book), [text, book]);
  const changed = differenceOf(opened.lines ?? [], understood.lines).length > 0;
  const newest = versions[0]!;
  const overtaken =
    newest.number !== mine &&
    (newest.id !== opened.id || (newest.lines !== null && opened.lines === null && saved === null));
  useEffect(() => {
    const look = () => document.visibilityState === 'visible' && router.refresh();
    document.addEventListener('visibilitychange', look);
    return () => document.removeEventListener('visibilitychange', look);
  }, [router]);

  const missing = unfinished(text);
  const shownErrors = tried ? { ...missing, ...understood.errors } : understood.errors;
  const change = (next: RecipeText) => {
    setSaved(null);
    setText(next);
  };
  const take = (lines: readonly Line[], note: string) => {
    change({ ...textOf(lines, ulid()), note });
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
    setMine(number);
    setTried(false);
    newId.current = ulid();
  };
  // After a save, and when nothing was typed yet, the newest version is what lies open.
  const isNext = saved !== null ? newest.number >= saved : newest.number === mine || (!changed && !found);
  if (newest !== opened && isNext) setOpened(newest);
  return {
    ...{ opened, text, change, take, book, understood, changed, shownErrors, save, saved, isBusy, errors },
    ...{ theirs, newest },
    /** The number of the version in use. */
    inUse: versions.find(({ id }) => id === glaze.versionId)!.number,
    isOvertaken: overtaken && saved === null && !theirs,
    isKept: found && changed,
  };
}

export type RecipeDeskState = ReturnType<typeof useRecipeDesk>;
