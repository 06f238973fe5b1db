import 'fake-indexeddb/auto';
import { openDB } from 'idb';
import { deviceStore, draftsOf } from './deviceStore';

test('what a device kept under the names of the release before is there under the new ones', async () => {
  const old = await openDB('jiten-opening', 1, {
    upgrade(base) {
      base.createObjectStore('draft');
      base
        .createObjectStore('outbox', { keyPath: 'seq', autoIncrement: true })
        .createIndex('firing', 'firingId');
      base.createObjectStore('opening');
      base.createObjectStore('block', { keyPath: 'id' });
    },
  });
  const said = { fate: 'keep', state: 'read', zones: {} };
  await old.put('draft', { said, sentAs: null, before: null, past: [said] }, 'F/P');
  const item = (id: string, write: object, trouble: object | null = null) => ({
    id,
    memberId: 'M',
    firingId: 'F',
    pieceId: 'P',
    write,
    trouble,
  });
  const theirs = { fate: 'grind', readings: [{ zone_id: 'Z', surface: 'gloss' }] };
  await old.add(
    'outbox',
    item('a', { kind: 'piece', said }, { faults: [{ field: '', message: 'Read meanwhile.' }], theirs }),
  );
  await old.add('outbox', item('b', { kind: 'takeBack', taken: { pieceId: 'P' } }));
  await old.add(
    'outbox',
    item(
      'c',
      { kind: 'stray', stray: { id: 'Q' } },
      { faults: [{ field: 'x', message: 'No.' }], theirs: null },
    ),
  );
  await old.add('outbox', item('d', { kind: 'frame', photo: { id: 'S' } }));
  old.close();
  const theirsNow = { fate: 'grind', readings: [{ zoneId: 'Z', surface: 'gloss' }] };

  expect(await draftsOf('F')).toEqual({ P: { answers: said, sentAs: null, before: null, past: [said] } });
  const items = await (await deviceStore()).getAll('outbox');
  expect(items.map(({ write, rejection }) => [write, rejection])).toEqual([
    [
      { kind: 'piece', reading: said },
      { errors: [{ field: '', message: 'Read meanwhile.' }], theirs: theirsNow },
    ],
    [{ kind: 'undo', undone: { pieceId: 'P' } }, null],
    [{ kind: 'unlogged', piece: { id: 'Q' } }, null],
    [{ kind: 'frame', photo: { id: 'S' } }, null],
  ]);
});
