import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { guarded, said, sealed, sessions, studioOfRoles, wordsOf } from './roles';
import { PAGES } from '@/auth';
import { newId } from '@/records/platform';
import { addDevice, saveStudioSettings, startSession, studioSettings } from '@/records/people';
import type { Role } from '@/core/vocabulary';
import type { Studio } from './studio';

let studio: Studio;
beforeAll(async () => {
  studio = await studioOfRoles('doors');
});
afterAll(() => studio.base.destroy());

const STUDIO = join(process.cwd(), 'src/app/(app)/(studio)');
const pages = readdirSync(STUDIO, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('page.tsx'))
  .map((file) => `/${file.replace(/\/?page\.tsx$/, '')}`);

/** What somebody of a role, or nobody, finds at the door of a page: open, not there, or another page. */
async function door(page: string, role: Role | null): Promise<string> {
  sealed.sessionId = role ? sessions[role] : undefined;
  const { default: Page } = await import(join(STUDIO, page, 'page.tsx'));
  // Who is let in is asked what the address says; nothing is drawn.
  const inside = { then: (_: unknown, fail: (error: Error) => void) => fail(new Error('open')) };
  return Page({ params: inside, searchParams: inside }).then(
    () => 'open',
    (error: Error) => error.message,
  );
}

test('every page stands in the table, and is seen by those it names', async () => {
  expect(pages.sort()).toEqual(Object.keys(PAGES).sort());
  const ladder = ['visitor', 'student', 'teacher', 'technician'] as const;
  for (const page of pages) {
    const { least } = PAGES[page as keyof typeof PAGES];
    const seen: string[] = [];
    for (const role of [null, ...ladder]) seen.push(await door(page, role));
    const open = ladder.map((role) => (ladder.indexOf(role) < ladder.indexOf(least) ? 'not there' : 'open'));
    expect([page, ...seen]).toEqual([page, 'to /sign-in', ...open]);
  }
});

test('who signed in by a PIN makes and reads, and manages nothing, whatever the role', async () => {
  const { base, member } = studio;
  const device = newId();
  await addDevice(base, member, { id: device, name: 'Tablet' });
  sessions.technician = await startSession(base, member, 'tablet', device);
  const refused = await Promise.all(
    guarded().map(async (name) => [
      name,
      wordsOf(await said(name, 'technician')).startsWith('Not with a PIN'),
    ]),
  );
  const may = refused.filter(([, isRefused]) => !isRefused).map(([name]) => name);
  expect(may.sort()).toEqual(
    [
      ...[
        'chooseUnits',
        'correct',
        'loadFiring',
        'markRepaired',
        'noteGlazed',
        'placeOnShelves',
        'requestTest',
      ],
      ...['saveCorrection', 'saveEvent', 'saveFullness', 'saveLateLook', 'saveMeasure', 'saveNewPieces'],
      ...['savePhoto', 'savePhotoTime', 'saveWitness', 'setPosts', 'showPhotoFirst', 'tellHints'],
      ...['unloadFiring', 'want', 'addToSet', 'saveSheet', 'mixClay', 'sayWare', 'takeOutOfSet'],
      ...['sayExpectation', 'addReminder', 'tickReminder', 'saveBook', 'takePhotoFirst', 'findPiece'],
      'withdrawTestRequest',
    ].sort(),
  );
  for (const page of ['/people', '/studio', '/account'])
    expect([page, await door(page, 'technician')]).toEqual([page, 'not there']);
  expect(await door('/pieces/new', 'technician')).toBe('open');
  sessions.technician = await startSession(base, member, 'test');
});

test('where technicians need a second factor, one without it can set it up and nothing else', async () => {
  const { base, member } = studio;
  const { value, version } = await studioSettings(base);
  await saveStudioSettings(base, member, { ...value, isFactorRequired: true }, version);
  const may = ['endAllOwnSessions', 'offerFactor', 'confirmFactor'];
  for (const name of guarded()) {
    const words = wordsOf(await said(name, 'technician'));
    expect([name, words.startsWith('Set up your second factor')]).toEqual([name, !may.includes(name)]);
  }
  expect([await door('/account', 'technician'), await door('/wall', 'technician')]).toEqual([
    'open',
    'to /account',
  ]);
  expect(await door('/wall', 'teacher')).toBe('open');
  await saveStudioSettings(base, member, value, version + 1);
});
