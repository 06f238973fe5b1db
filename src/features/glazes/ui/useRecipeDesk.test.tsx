/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import type { RecipeVersion } from '@/records/materials';
import { saveRecipeText } from '../actions';
import { textOf } from '../model/glazeDraft';
import { useRecipeDesk } from './useRecipeDesk';

const refresh = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));
jest.mock('../actions', () => ({ saveRecipeText: jest.fn() }));
const send = jest.mocked(saveRecipeText);

const LINES = [
  { material: 'Nepheline syenite, typical', amount: 80 },
  { material: 'Whiting', amount: 20 },
];
const version = (number: number, lines: RecipeVersion['lines'] = LINES): RecipeVersion => ({
  ...{ id: `V${number}`, number, lines, note: '', by: 'Maren', at: new Date(0), pieces: 0, defects: [] },
  swatchHash: null,
});

function open(versions: readonly RecipeVersion[]) {
  return renderHook(
    (props: { versions: readonly RecipeVersion[] }) =>
      useRecipeDesk({ ...props, glaze: { id: 'G', versionId: 'V1' }, materials: [], aliases: {} }),
    { initialProps: { versions } },
  );
}
type Desk = ReturnType<typeof open>['result'];
/** Types another amount into the second line. */
const type = (desk: Desk, amount: number) =>
  act(() => desk.current.change(textOf([LINES[0]!, { ...LINES[1]!, amount }], 'typed')));
const amounts = (desk: Desk) => desk.current.understood.lines.map((line) => line.amount);
const save = (desk: Desk, over?: Parameters<Desk['current']['save']>[0]) =>
  act(() => desk.current.save(over));

beforeEach(() => {
  localStorage.clear();
  jest.resetAllMocks();
});

test('what is typed is kept until it is saved, and then the new version lies open', async () => {
  const first = open([version(1)]);
  expect(first.result.current.changed).toBe(false);
  type(first.result, 25);
  first.unmount();
  const { result, rerender } = open([version(1)]);
  expect(amounts(result)).toEqual([80, 25]);
  expect(result.current.isKept).toBe(true);
  send.mockResolvedValueOnce({ ok: true, value: 2 });
  await save(result);
  expect(send.mock.calls[0]![0]).toMatchObject({ glazeId: 'G', follows: 'V1', wasWritten: true });
  expect(result.current.saved).toBe(2);
  expect(localStorage).toHaveLength(0);
  const two = version(2, [LINES[0]!, { ...LINES[1]!, amount: 25 }]);
  rerender({ versions: [two, version(1)] });
  expect(result.current.opened.id).toBe('V2');
  expect(result.current.changed).toBe(false);
  expect(result.current.isOvertaken).toBe(false);
});

test('a recipe that is not whole is not sent, and says which line wants what', async () => {
  const { result } = open([version(1)]);
  const { text } = result.current;
  act(() => result.current.change({ ...text, base: [text.base[0]!, { ...text.base[1]!, amount: '' }] }));
  expect(result.current.shownErrors).toEqual({});
  await save(result);
  expect(send).not.toHaveBeenCalled();
  expect(result.current.shownErrors).toEqual({ [text.base[1]!.key]: 'How much?' });
});

test('a save whose answer was lost is the same version when it is sent again; the one after it is another', async () => {
  const { result } = open([version(1)]);
  type(result, 25);
  send.mockRejectedValueOnce(new TypeError('Failed to fetch'));
  await save(result);
  expect(result.current.errors[0]!.message).toContain('did not answer');
  expect(amounts(result)).toEqual([80, 25]);
  send.mockResolvedValue({ ok: true, value: 2 });
  await save(result);
  type(result, 30);
  await save(result);
  const [lost, sent, next] = send.mock.calls.map(([{ id }]) => id);
  expect(sent).toBe(lost);
  expect(next).not.toBe(sent);
});

test('a version that somebody saves meanwhile is told to who has typed, and lies open for who has not', () => {
  const newer = version(2, [LINES[0]!, { ...LINES[1]!, amount: 22 }]);
  const idle = open([version(1)]);
  idle.rerender({ versions: [newer, version(1)] });
  expect(idle.result.current.opened.id).toBe('V2');
  expect(idle.result.current.isOvertaken).toBe(false);
  idle.unmount();
  const busy = open([version(1)]);
  type(busy.result, 25);
  busy.rerender({ versions: [newer, version(1)] });
  expect(busy.result.current.isOvertaken).toBe(true);
  expect(amounts(busy.result)).toEqual([80, 25]);
  expect(busy.result.current.opened.id).toBe('V1');
});

test('two who save at once: theirs is shown, and mine comes after it only when told to', async () => {
  const { result } = open([version(1)]);
  type(result, 25);
  const theirs = { id: 'V2', number: 2, lines: LINES, by: 'Priya' };
  send.mockResolvedValueOnce({ ok: false, code: 'conflict', errors: [], theirs } as never);
  await save(result);
  expect(result.current.theirs).toMatchObject({ id: 'V2' });
  expect(result.current.saved).toBeNull();
  send.mockResolvedValueOnce({ ok: true, value: 3 });
  await save(result, { id: 'V2', lines: LINES });
  expect(send.mock.calls.map(([{ follows }]) => follows)).toEqual(['V1', 'V2']);
  expect(result.current.saved).toBe(3);
});
