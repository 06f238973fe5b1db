/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { PLAIN_PIECE } from '@/core/coats';
import type { PieceDraft } from '@/records/pieces';
import { MemberProvider } from '@/ui/MemberContext';
import { saveCorrection, saveNewPieces } from '../actions';
import type { GlazeChoice } from '../model/draft';
import { usePieceEditor } from './usePieceEditor';

const push = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push }) }));
jest.mock('../actions', () => ({ saveNewPieces: jest.fn(), saveCorrection: jest.fn() }));
const saveNew = jest.mocked(saveNewPieces);
const correct = jest.mocked(saveCorrection);

const glaze = (name: string): GlazeChoice => ({
  ...{ id: name, name, kind: 'glaze', colour: '#333333', advice: '', movement: null, opaque: null },
  ...{ usualMethod: null, usualTimes: null, versionId: `${name} 1`, versions: [], batches: [] },
});
const glazes = [glaze('Sleeper'), glaze('Limewash')];
const start: PieceDraft = {
  ...PLAIN_PIECE,
  ...{ form: 'tile', heightMm: 100, widthMm: 60, bodyId: 'Cutting Red', coats: [] },
};
const editing = { id: 'P', label: 'SW-0100', version: 3 };

function open(more: { editing?: typeof editing; member?: string } = {}) {
  const member = { id: more.member ?? 'maren', role: 'student', isByPin: false } as const;
  const wrapper = ({ children }: { children: ReactNode }) => (
    <MemberProvider member={member}>{children}</MemberProvider>
  );
  return renderHook(
    () => usePieceEditor({ glazes, start, series: 'SW', setWith: undefined, editing: more.editing }),
    { wrapper },
  );
}
type Editor = ReturnType<typeof open>['result'];
const addSleeper = (editor: Editor) => act(() => editor.current.add(glazes[0]!));
const save = (editor: Editor, version?: number) => act(() => editor.current.save(version));
const sentIds = () => saveNew.mock.calls.map(([{ ids }]) => ids);
const names = (editor: Editor) => editor.current.draft.coats.map(({ glazeId }) => glazeId);

beforeEach(() => {
  localStorage.clear();
  jest.resetAllMocks();
  saveNew.mockImplementation(({ ids }) =>
    Promise.resolve({ ok: true, value: ids.map((id, i) => ({ id: id!, label: `SW-000${i}` })) }),
  );
});

test('what is drawn is kept for its member until it is saved', async () => {
  const first = open();
  addSleeper(first.result);
  first.unmount();
  expect(names(open({ member: 'priya' }).result)).toEqual([]);
  const { result, unmount } = open();
  expect(names(result)).toEqual(['Sleeper']);
  expect(result.current.isRestored).toBe(true);
  await save(result);
  expect(result.current.saved).toHaveLength(1);
  unmount();
  expect(names(open().result)).toEqual([]);
});

test('a save whose answer was lost is the same pieces when it is sent again; the next ones are others', async () => {
  const { result } = open();
  addSleeper(result);
  act(() => result.current.setTwins(3));
  saveNew.mockRejectedValueOnce(new TypeError('Failed to fetch'));
  await save(result);
  expect(result.current.errors[0]!.message).toContain('kept on this device');
  expect(names(result)).toEqual(['Sleeper']);
  await save(result);
  const [lost, sent] = sentIds();
  expect(sent).toEqual(lost);
  expect(new Set(sent).size).toBe(3);
  // What is saved is not saved again by another press; a change begins the next.
  await save(result);
  expect(sentIds()).toHaveLength(2);
  addSleeper(result);
  await save(result);
  expect(sentIds()[2]!.some((id) => sent!.includes(id))).toBe(false);
});

test('two presses are one save', async () => {
  const { result } = open();
  addSleeper(result);
  let answer!: () => void;
  saveNew.mockReturnValueOnce(new Promise((done) => (answer = () => done({ ok: true, value: [] }))));
  act(() => void result.current.save());
  await save(result);
  expect(saveNew).toHaveBeenCalledTimes(1);
  await act(() => Promise.resolve(answer()));
});

test('a refused piece says so at its field, and is kept', async () => {
  const { result, unmount } = open();
  addSleeper(result);
  const errors = [{ field: 'draft.bodyId', message: 'Choose a clay.' }];
  saveNew.mockResolvedValueOnce({ ok: false, code: 'invalid', errors });
  await save(result);
  expect(result.current.errorOf('bodyId')).toBe('Choose a clay.');
  expect(result.current.saved).toBeNull();
  unmount();
  expect(names(open().result)).toEqual(['Sleeper']);
});

test('the next piece is the same with its coats, or as large and of the same clay without them', async () => {
  const { result } = open();
  window.scrollTo = jest.fn();
  act(() =>
    result.current.change((before) => ({ ...before, heightMm: 120, bodyId: 'Porcelain', note: 'thin' })),
  );
  addSleeper(result);
  await save(result);
  act(() => result.current.next(true));
  expect(result.current.draft).toMatchObject({
    heightMm: 120,
    note: 'thin',
    coats: [{ glazeId: 'Sleeper' }],
  });
  act(() => result.current.next(false));
  expect(result.current.draft).toMatchObject({ heightMm: 120, bodyId: 'Porcelain', note: '', coats: [] });
  act(() => result.current.startAgain());
  act(() => result.current.repeat());
  expect(result.current.draft).toMatchObject({ heightMm: 120, coats: [{ glazeId: 'Sleeper' }] });
});

test('what was begun on one version of a piece is not taken over into another, nor into another piece', () => {
  const first = open({ editing });
  addSleeper(first.result);
  first.unmount();
  expect(names(open({ editing }).result)).toEqual(['Sleeper']);
  expect(names(open({ editing: { ...editing, version: 4 } }).result)).toEqual([]);
  expect(names(open({ editing: { ...editing, id: 'Q' } }).result)).toEqual([]);
  expect(names(open().result)).toEqual([]);
});

test('a correction that another has overtaken shows theirs, and is saved over it only when told to', async () => {
  const { result } = open({ editing });
  addSleeper(result);
  const theirs = { ...start, version: 4 };
  correct.mockResolvedValueOnce({ ok: false, code: 'conflict', errors: [], theirs } as never);
  await save(result);
  expect(result.current.theirs).toMatchObject({ version: 4 });
  expect(push).not.toHaveBeenCalled();
  correct.mockResolvedValueOnce({ ok: true, value: undefined } as never);
  await save(result, 4);
  expect(correct.mock.calls.map(([{ version }]) => version)).toEqual([3, 4]);
  expect(push).toHaveBeenCalledWith('/pieces/SW-0100');
  // Its draft was its own: a new piece begins bare.
  expect(names(open().result)).toEqual([]);
});
