import 'fake-indexeddb/auto';
import { deviceStore, nextNumber, numbersLeft, type OutboxItem } from './deviceStore';
import { startSender } from './sender';

/** Numbers in [0, 1) that are the same on every run. */
function seeded(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 48271) % 2147483647) / 2147483647;
}

/** What a server does with a request: takes it, does not get it, takes it but its answer is lost, or other. */
type Fate = 'take' | 'lose' | 'lose the answer' | 'refuse' | 'signed out' | 'other member';
let fateOf: (id: string) => Fate;
/** Ids of the writes that the server has done, in its order: each once, as `write_done` holds. */
let done: string[];
let asked: string[];
/** Who each write that arrived says it is from. */
let writers: string[];

const events = new EventTarget();
const answer = (value: unknown, status = 200) => new Response(JSON.stringify(value), { status });

beforeEach(async () => {
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'queueMicrotask', 'nextTick', 'performance'] });
  [done, asked, writers, fateOf] = [[], [], [], () => 'take'];
  Object.assign(globalThis, { window: events, navigator: { onLine: true } });
  jest.spyOn(globalThis, 'fetch').mockImplementation(async (address, init) => {
    const id =
      address === '/api/v1/photos'
        ? ((init!.body as FormData).get('id') as string)
        : (JSON.parse(init!.body as string).id as string);
    asked.push(id);
    const fate = fateOf(id);
    if (fate === 'lose') throw new TypeError('no network');
    if (fate === 'signed out') return answer({ ok: false, code: fate, errors: [] }, 401);
    if (fate === 'other member') return answer({ ok: false, code: fate, errors: [] }, 409);
    writers.push((init!.headers as Record<string, string>)['x-jiten-writer']!);
    if (fate === 'refuse') {
      const theirs = { zones: [], fate: null };
      return answer(
        { ok: false, code: 'conflict', errors: [{ field: '', message: 'Read meanwhile.' }], theirs },
        422,
      );
    }
    if (!done.includes(id)) done.push(id);
    if (fate === 'lose the answer') throw new TypeError('no network');
    return answer({ ok: true, value: null });
  });
  const base = await deviceStore();
  await base.clear('outbox');
  await base.clear('block');
});
afterEach(() => {
  jest.useRealTimers();
  jest.restoreAllMocks();
});

const write = (id: string, pieceId: string | null = 'P', more: Partial<OutboxItem> = {}): OutboxItem =>
  ({
    id,
    pieceId,
    memberId: 'M',
    firingId: 'F',
    rejection: null,
    write: { kind: 'late' },
    ...more,
  }) as OutboxItem;

async function queue(...all: readonly OutboxItem[]): Promise<void> {
  const base = await deviceStore();
  for (const one of all) await base.add('outbox', one);
}

async function waiting(): Promise<OutboxItem[]> {
  return (await deviceStore()).getAll('outbox');
}

const silent = { sent: () => undefined, changed: () => undefined };

/** Lets so many seconds pass. */
async function pass(seconds: number): Promise<void> {
  for (let i = 0; i < seconds * 4; i++) {
    await jest.advanceTimersByTimeAsync(250);
    for (let turn = 0; turn < 30; turn++) await new Promise(setImmediate);
  }
}

test.each([3, 17, 271])(
  'through a bad network and closed tabs every write is done once, in order (%d)',
  async (seed) => {
    const next = seeded(seed);
    const all = Array.from({ length: 24 }, (_, i) => write(`w${i}`, `P${Math.floor(next() * 4)}`));
    fateOf = () => (['take', 'lose', 'lose the answer'] as const)[Math.floor(next() * 3)]!;
    for (const one of all) {
      await queue(one);
      if (next() < 0.5) continue;
      const sender = startSender('M', silent);
      sender.kick();
      await pass(next() * 3);
      sender.stop();
    }
    fateOf = () => 'take';
    const sender = startSender('M', silent);
    sender.kick();
    await pass(20);
    sender.stop();
    expect(done).toEqual(all.map(({ id }) => id));
    expect(await waiting()).toEqual([]);
  },
);

test('a write that is refused stays with what others said, and holds back its piece only', async () => {
  fateOf = (id) => (id === 'one' ? 'refuse' : 'take');
  await queue(write('one', 'P'), write('two', 'P'), write('three', 'Q'), write('four', null));
  const sent: string[] = [];
  const sender = startSender('M', { ...silent, sent: ({ id }) => sent.push(id) });
  sender.kick();
  await pass(5);
  expect(sent).toEqual(['three', 'four']);
  expect((await waiting()).map(({ id, rejection }) => [id, rejection?.errors[0]?.message])).toEqual([
    ['one', 'Read meanwhile.'],
    ['two', undefined],
  ]);
  expect((await waiting())[0]!.rejection!.theirs).toEqual({ zones: [], fate: null });
  // Not asked again by itself; once it is decided, what it held back follows.
  expect(asked.filter((id) => id === 'one')).toHaveLength(1);
  await (await deviceStore()).delete('outbox', (await waiting())[0]!.seq!);
  sender.kick();
  await pass(1);
  expect(done).toEqual(['three', 'four', 'two']);
  sender.stop();
});

test('a write that is taken back while it is on its way leaves nothing to decide, whatever the answer', async () => {
  await queue(write('one', 'P'), write('undo', 'P'));
  const base = await deviceStore();
  const send = jest.mocked(fetch).getMockImplementation()!;
  jest.mocked(fetch).mockImplementation(async (...asking) => {
    const [first] = await waiting();
    if (first?.id === 'one') await base.delete('outbox', first.seq!);
    return send(...asking);
  });
  fateOf = (id) => (id === 'one' ? 'refuse' : 'take');
  const sender = startSender('M', silent);
  sender.kick();
  await pass(2);
  sender.stop();
  expect([done, await waiting()]).toEqual([['undo'], []]);
});

test('without an answer it waits longer each time, up to fifteen seconds, and goes at once when the line is back', async () => {
  fateOf = () => 'lose';
  await queue(write('one'));
  const sender = startSender('M', silent);
  sender.kick();
  await pass(1);
  expect([sender.connection(), asked.length]).toEqual(['down', 1]);
  await pass(60);
  // After 2, 4 and 8 seconds, then every 15.
  expect(asked.length).toBeGreaterThanOrEqual(6);
  expect(asked.length).toBeLessThanOrEqual(8);
  fateOf = () => 'take';
  events.dispatchEvent(new Event('online'));
  await pass(0.5);
  expect([sender.connection(), done]).toEqual(['up', ['one']]);
  sender.stop();
});

test('who is signed out is told so, and nothing is lost; another member’s writes wait for them', async () => {
  fateOf = () => 'signed out';
  await queue(write('other’s', 'P', { memberId: 'N' }), write('own'));
  const sender = startSender('M', silent);
  sender.kick();
  await pass(1);
  expect(sender.connection()).toBe('signed out');
  expect(await waiting()).toHaveLength(2);
  fateOf = () => 'take';
  sender.kick();
  await pass(1);
  expect(done).toEqual(['own']);
  expect((await waiting()).map(({ id }) => id)).toEqual(['other’s']);
  sender.stop();
});

test('a photo goes as a form with its settings', async () => {
  const settings = {
    frame: { left: 0.1, right: 0.9, rim: 0.1, foot: 0.9 },
    gains: null,
    strokes: [],
    labels: [],
    view: null,
    area: null,
    stage: null,
  };
  await queue(
    write('photo', 'P', { write: { kind: 'photo', pieceId: 'P', blob: new Blob(['x']), settings } }),
  );
  const sender = startSender('M', silent);
  sender.kick();
  await pass(1);
  sender.stop();
  expect(done).toEqual(['photo']);
  const form = jest.mocked(fetch).mock.calls[0]![1]!.body as FormData;
  expect(form.get('pieceId')).toBe('P');
  expect(JSON.parse(form.get('settings') as string)).toEqual(settings);
});

test('a device gives each of its numbers once, block after block, and says how many are left', async () => {
  const base = await deviceStore();
  await base.put('block', { id: 'a', prefix: 'SW', first: 7, last: 8, used: 0 });
  await base.put('block', { id: 'b', prefix: 'SW', first: 40, last: 40, used: 0 });
  expect(await numbersLeft()).toBe(3);
  const given = await Promise.all([nextNumber(), nextNumber(), nextNumber(), nextNumber()]);
  expect(given.map((one) => one?.label ?? null)).toEqual(['SW-0007', 'SW-0008', 'SW-0040', null]);
  expect(await numbersLeft()).toBe(0);
});

test('a write names its member; under another one’s session nothing is done and nothing is lost', async () => {
  fateOf = () => 'other member';
  await queue(write('one'), write('two', 'Q'));
  const sender = startSender('M', silent);
  sender.kick();
  await pass(1);
  expect([sender.connection(), done, (await waiting()).length]).toEqual(['other member', [], 2]);
  fateOf = () => 'take';
  await pass(5);
  sender.stop();
  expect([done, writers, await waiting()]).toEqual([['one', 'two'], ['M', 'M'], []]);
});

test('a sender that was stopped sends nothing more, not even from the list it was at', async () => {
  await queue(write('one'), write('two', 'Q'), write('three', 'R'));
  const told: string[] = [];
  const sender = startSender('M', { sent: ({ id }) => told.push(id), changed: () => undefined });
  fateOf = (id) => {
    if (id === 'one') sender.stop();
    return 'take';
  };
  sender.kick();
  await pass(2);
  sender.kick();
  events.dispatchEvent(new Event('online'));
  await pass(2);
  expect([asked, told, (await waiting()).map(({ id }) => id)]).toEqual([['one'], [], ['two', 'three']]);
});
