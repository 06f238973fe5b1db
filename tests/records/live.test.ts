import { answerEvents } from '@/app/api/v1/events';

let mockRevision: () => Promise<string> = () => Promise.resolve('1');
jest.mock('@/records/platform', () => ({ db: () => null, currentRevision: () => mockRevision() }));

/** Lets so many seconds pass for an open page. */
async function pass(seconds: number): Promise<void> {
  await jest.advanceTimersByTimeAsync(seconds * 1000);
}

beforeEach(() => jest.useFakeTimers({ now: 1_000_000 }));
afterEach(() => jest.useRealTimers());

test('an open page hears of a write and of its end, also after a hiccup of the database', async () => {
  let isOpen: () => Promise<boolean> = () => Promise.resolve(true);
  const stop = new AbortController();
  const answer = answerEvents(new Request('http://127.0.0.1/', { signal: stop.signal }), () => isOpen());
  const heard: string[] = [];
  const reader = answer.body!.getReader();
  const listening = (async () => {
    for (;;) {
      const { done, value } = await reader.read();
      if (done) return;
      heard.push(/event: (\w+)/.exec(new TextDecoder().decode(value))![1]!);
    }
  })();
  await pass(1);
  expect(heard).toEqual(['open']);
  // The database is away: neither a write nor an end is made up, and the page goes on listening.
  mockRevision = () => Promise.reject(new Error('gone away'));
  await pass(7);
  isOpen = () => Promise.reject(new Error('gone away'));
  await pass(7);
  expect(heard).toEqual(['open']);
  isOpen = () => Promise.resolve(true);
  mockRevision = () => Promise.resolve('2');
  await pass(5);
  expect(heard).toEqual(['open', 'changed']);
  await pass(5);
  expect(heard).toEqual(['open', 'changed']);
  isOpen = () => Promise.resolve(false);
  await pass(5);
  await listening;
  expect(heard).toEqual(['open', 'changed', 'ended']);
});
