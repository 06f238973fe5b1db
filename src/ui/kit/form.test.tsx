/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { z } from 'zod';
import type { Outcome } from '@/auth';
import { MemberProvider } from '../MemberContext';
import { Form, NumberInput, TextInput, useSavedForm } from '.';

interface Shelf {
  name: string;
  widthMm: number | null;
}
const schema = z.object({
  name: z.string().min(1, 'Give it a name.'),
  widthMm: z.number('Type a width.').min(1, 'At least 1.'),
});
type Save = (shelf: { name: string; widthMm: number }, version: number | null) => Promise<Outcome<string>>;

function ShelfForm({ save, onSaved }: { save: Save; onSaved?: () => void }) {
  const saved = useSavedForm<Shelf, { name: string; widthMm: number }, string, Shelf & { version: number }>({
    schema,
    values: { name: '', widthMm: null },
    draft: { key: 'shelf' },
    under: 'shelf',
    save,
    version: 3,
    ...(onSaved && { onSaved }),
  });
  return (
    <Form
      of={saved}
      label="Shelf"
      button="Save"
      notice={
        saved.theirs && (
          <button type="button" onClick={() => void saved.submit(saved.theirs!.version)}>
            Over {saved.theirs.name}
          </button>
        )
      }
    >
      <TextInput control={saved.control} name="name" label="Name" />
      <NumberInput control={saved.control} name="widthMm" label="Width" />
    </Form>
  );
}

function show(save: Save, onSaved?: () => void, member = 'maren') {
  return render(
    <MemberProvider member={{ id: member, role: 'student', isByPin: false }}>
      <ShelfForm save={save} {...(onSaved && { onSaved })} />
    </MemberProvider>,
  );
}

const type = async (name: string, width: string) => {
  if (name) await userEvent.type(screen.getByLabelText('Name'), name);
  await userEvent.type(screen.getByLabelText('Width'), width);
};
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }));

beforeEach(() => localStorage.clear());

test('what was typed comes back to its member after the page was closed, until it is saved', async () => {
  const answer = Promise.resolve({ ok: true, value: 'id' } as const);
  const first = show(() => answer);
  await type('Top', '450');
  first.unmount();
  const other = show(() => answer, undefined, 'priya');
  expect(screen.getByLabelText('Name')).toHaveProperty('value', '');
  other.unmount();
  const onSaved = jest.fn();
  const again = show(() => answer, onSaved);
  expect(screen.getByLabelText('Name')).toHaveProperty('value', 'Top');
  expect(screen.getByLabelText('Width')).toHaveProperty('value', '450');
  expect(screen.getByText(/Not saved yet/)).toBeTruthy();
  await press('Save');
  expect(onSaved).toHaveBeenCalledTimes(1);
  again.unmount();
  show(() => answer);
  expect(screen.getByLabelText('Name')).toHaveProperty('value', '');
});

test('“Start again” forgets what was typed', async () => {
  const first = show(jest.fn());
  await type('Top', '450');
  first.unmount();
  const again = show(jest.fn());
  await press('Start again');
  expect(screen.getByLabelText('Name')).toHaveProperty('value', '');
  again.unmount();
  show(jest.fn());
  expect(screen.getByLabelText('Name')).toHaveProperty('value', '');
});

test('nothing wrong is sent: each field says what it wants, and a half-typed number is none', async () => {
  const save = jest.fn();
  show(save);
  await type('', '4x');
  await press('Save');
  expect(save).not.toHaveBeenCalled();
  expect(screen.getByText('Give it a name.')).toBeTruthy();
  expect(screen.getByLabelText('Width').getAttribute('aria-invalid')).toBe('true');
  expect(screen.getByLabelText('Width')).toHaveProperty('value', '4x');
});

test('errors of the server stand at their fields, those of the whole above the button; what was typed stays', async () => {
  const errors = [
    { field: 'shelf.name', message: 'There is a shelf Top already.' },
    { field: '', message: 'The kiln is firing.' },
  ];
  const first = show(() => Promise.resolve({ ok: false, code: 'refused', errors }));
  await type('Top', '450');
  await press('Save');
  expect(screen.getByLabelText('Name').getAttribute('aria-invalid')).toBe('true');
  expect(screen.getByText('There is a shelf Top already.')).toBeTruthy();
  expect(screen.getByRole('alert').textContent).toContain('The kiln is firing.');
  expect(screen.getByRole('alert').textContent).not.toContain('already');
  first.unmount();
  show(jest.fn());
  expect(screen.getByLabelText('Name')).toHaveProperty('value', 'Top');
});

test('a dead network is said, and the same words are sent again', async () => {
  const save = jest
    .fn<ReturnType<Save>, Parameters<Save>>()
    .mockRejectedValueOnce(new TypeError('Failed to fetch'))
    .mockResolvedValueOnce({ ok: true, value: 'id' });
  show(save);
  await type('Top', '450');
  await press('Save');
  expect(screen.getByRole('alert').textContent).toContain('The server did not answer.');
  await press('Save');
  expect(save.mock.calls).toEqual([
    [{ name: 'Top', widthMm: 450 }, 3],
    [{ name: 'Top', widthMm: 450 }, 3],
  ]);
  expect(screen.queryByRole('alert')).toBeNull();
});

test('what somebody else saved first is shown, and mine is saved over their version only when told to', async () => {
  const theirs = { name: 'Upper', widthMm: 500, version: 4 };
  const save = jest
    .fn<ReturnType<Save>, Parameters<Save>>()
    .mockResolvedValueOnce({ ok: false, code: 'conflict', errors: [], theirs })
    .mockResolvedValueOnce({ ok: true, value: 'id' });
  show(save);
  await type('Top', '450');
  await press('Save');
  expect(save.mock.calls.map(([, version]) => version)).toEqual([3]);
  await press('Over Upper');
  expect(save.mock.calls.map(([, version]) => version)).toEqual([3, 4]);
  expect(screen.queryByRole('button', { name: 'Over Upper' })).toBeNull();
});
