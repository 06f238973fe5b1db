'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState } from 'react';
import type { NamedWall } from '@/records/dictionary';
import { Faults } from '@/ui/Faults';
import { useAct } from '@/ui/useAct';
import { useSameId } from '@/ui/useSameId';
import { useUndo } from '@/ui/Undo';
import { WordField } from '@/ui/WordField';
import { forgetWall, nameWall } from '../actions';
import css from './wall.module.css';

/** The studio's named walls, and a name for the one in view. */
export function NameWall({
  walls,
  search,
  mayName,
}: {
  walls: readonly NamedWall[];
  search: string;
  mayName: boolean;
}) {
  const [name, setName] = useState('');
  const [idOf, kept] = useSameId();
  const { act, busy, faults } = useAct();
  const { offer, bar } = useUndo();
  const keep = async () => {
    const wall = { name, search };
    if ((await act(() => nameWall({ ...wall, id: idOf(wall) }))) === undefined) return;
    kept(wall);
    setName('');
  };
  const forget = async ({ id, name: gone }: NamedWall) => {
    if ((await act(() => forgetWall({ id, ended: true }))) !== undefined)
      offer(`“${gone}” forgotten`, () => void act(() => forgetWall({ id, ended: false })));
  };
  return (
    <div className={css.named} role="group" aria-label="Named walls">
      {walls.length > 0 && (
        <ul>
          {walls.map((wall) => (
            <li key={wall.id}>
              <Link href={`/wall?${wall.search}`}>{wall.name}</Link>
              {mayName && (
                <button type="button" aria-label={`Forget ${wall.name}`} onClick={() => void forget(wall)}>
                  ×
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
      {mayName && (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            void keep();
          }}
        >
          <WordField label="Name this wall" value={name} onChange={setName} />
          <Button type="submit" disabled={busy || !name.trim()}>
            Keep
          </Button>
        </form>
      )}
      <Faults faults={faults} />
      {bar}
    </div>
  );
}
