'use client';
import Link from 'next/link';
import type { NamedWall } from '@/records/dictionary';
import { Form, FormErrors, TextInput, useSavedForm } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { useIdempotentId } from '@/ui/useIdempotentId';
import { useUndo } from '@/ui/Undo';
import { setWallEnded, nameWall } from '../actions';
import { newNameSchema } from '../schema';
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
  const [idOf, kept] = useIdempotentId();
  const { run, errors } = useMutation();
  const { offer, bar } = useUndo();
  const form = useSavedForm({
    schema: newNameSchema,
    values: { name: '' },
    save: async ({ name }) => {
      const wall = { name, search };
      const outcome = await nameWall({ ...wall, id: idOf(wall) });
      if (outcome.ok) kept(wall);
      return outcome;
    },
    onSaved: () => form.form.reset(),
  });
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
        <Form of={form} label="New named wall" button="Save">
          <TextInput control={form.control} name="name" label="Name this wall" />
        </Form>
      )}
      <FormErrors errors={errors} />
      {bar}
    </div>
  );
}
