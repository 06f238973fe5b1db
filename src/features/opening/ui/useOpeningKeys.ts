import { usePageKey } from '@/ui/usePageKey';
import { useSaveKey } from '@/ui/useSaveKey';
import { FATES, MOVEMENTS, SURFACES, type Fate } from '@/core/vocabulary';
import type { ReadingDraft } from '@/records/openings';
import type { Answers } from '../model/draft';

interface Acts {
  readonly onSay: (change: Partial<ReadingDraft>) => void;
  readonly onGrade: (severity: 1 | 2 | 3) => void;
  readonly onZone: (by: 1 | -1) => void;
  readonly onDefect: () => void;
  readonly onExpected: () => void;
  readonly onTwin: () => void;
  readonly onUndo: () => void;
  readonly onFate: (fate: Fate) => void;
  readonly onFinish: (change: (said: Answers) => Answers) => void;
}

/** The home row says surface and movement; none of these keys begins or ends another key of the frame. */
const HOME = [
  ...SURFACES.map((surface, i) => ['asd'[i]!, { surface }] as const),
  ...MOVEMENTS.map((movement, i) => ['fhj'[i]!, { movement }] as const),
];

/** The opening by keyboard, for a desk. */
export function useOpeningKeys({
  onSay,
  onGrade,
  onZone,
  onDefect,
  onExpected,
  onTwin,
  onUndo,
  onFate,
  onFinish,
}: Acts): void {
  usePageKey(HOME.map(([key]) => key).join(','), (event) => {
    const said = HOME.find(([key]) => key === event.key.toLowerCase());
    if (said) onSay(said[1]);
  });
  usePageKey('1,2,3', (event) => onGrade(Number(event.key) as 1 | 2 | 3));
  usePageKey('up', () => onZone(1), { preventDefault: true });
  usePageKey('down', () => onZone(-1), { preventDefault: true });
  usePageKey('.', onDefect, { useKey: true, preventDefault: true });
  usePageKey('e', onExpected);
  usePageKey('i', onTwin);
  usePageKey('u', onUndo);
  usePageKey('m', () => onFinish((said) => ({ ...said, state: 'missing' })));
  usePageKey('x', () => onFinish((said) => ({ ...said, state: 'broken' })));
  usePageKey(FATES.map((_, i) => `shift+${i + 1}`).join(','), (event) => {
    const fate = FATES[Number(event.code.slice(-1)) - 1];
    if (fate) onFate(fate);
  });
  useSaveKey(() => onFinish((said) => said));
}
