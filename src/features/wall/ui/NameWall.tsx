'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState } from 'react';
import type { NamedWall } from '@/records/dictionary';
import { FormErrors } from '@/ui/FormErrors';
import { useMutation } from '@/ui/useMutation';
import { useIdempotentId } from '@/ui/useIdempotentId';
import { useUndo } from '@/ui/Undo';
import { WordField } from '@/ui/WordField';
import { setWallEnded, nameWall } from '../actions';
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
  const [idOf, kept] = useIdempotentId();
  const { run, isBusy, errors } = useMutation();
  const { offer, bar } = useUndo();
  const keep = async () => {
    const wall = { name, search };
    if ((await run(() => nameWall({ ...wall, id: idOf(wall) }))) === undefined) return;
    kept(wall);
    setName('');
  };
  const forget = async ({ id, name: gone }: NamedWall) => {
    if ((await run(() => setWallEnded({ id, ended: true }))) !== undefined)
      offer(`“${gone}” forgotten`, () => void run(() => setWallEnded({ id, ended: false })));
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
          <Button type="submit" disabled={isBusy || !name.trim()}>
            Save
          </Button>
        </form>
      )}
      <FormErrors errors={errors} />
      {bar}
    </div>
  );
}
