import { TOTP } from 'otpauth';
import { FORMER_MEMBER, type Role } from '@/core/vocabulary';
import {
  newId,
  listSeries,
  NotFound,
  Refusal,
  removeSeriesOf,
  reserveNumbers,
  saveSeriesOf,
  type Db,
} from '@/records/platform';
import {
  acceptInvitation,
  accountOf,
  addDevice,
  addInvitation,
  addMaker,
  addMember,
  addPasswordLink,
  changePassword,
  changeSignIn,
  checkPassword,
  checkPin,
  confirmSecondFactor,
  deviceBy,
  deviceNames,
  dropSecondFactor,
  endDevice,
  forgetPinTries,
  invitationBy,
  leaveStudio,
  hintsOf,
  noteHintSeen,
  setHintsOff,
  listDevices,
  listGroups,
  listPeople,
  memberOfSession,
  mergeMaker,
  offerSecondFactor,
  passwordError,
  passwordLinkBy,
  removeSecondFactor,
  returnToStudio,
  saveGroup,
  saveOwnUnits,
  savePerson,
  savePin,
  saveStudioSettings,
  studioSettings,
  startSession,
  takeCode,
  takePasswordLink,
  unitsFor,
} from '@/records/people';
import { savePieces } from '@/records/pieces';
import { freshStudio, tile, type Studio } from './studio';

let studio: Studio;
let base: Db;
beforeAll(async () => {
  studio = await freshStudio('accounts');
  base = studio.base;
});
afterAll(() => studio.base.destroy());

/** A member who signs in. */
const somebody = (name: string, signIn: string, role: Role = 'student') =>
  addMember(base, { name, signIn, password: 'a wet clay bag', role });

const unitsOf = async (id: string) => unitsFor(base, id, (await studioSettings(base)).value.units);
const TOKEN = (letter: string) => letter.repeat(43);
const HOUR = 3_600_000;

// NIST SP 800-63B, 5.1.1.2: length, a list of common ones, names of the context; no composition rules.
test.each([
  ['short', /At least 10/],
  ['password123', /tried first/],
  ['PASSWORD1234', /tried first/],
  ['aaaaaaaaaaaaa', /tried first/],
  ['Ada Ruiz 1', /name that others know/],
  ['jiten-jiten-1', /name that others know/],
  ['all small letters', null],
  ['пароль из слов', null],
])('“%s” as a password', (password, why) => {
  const error = passwordError(password, ['Ada Ruiz', 'adar']);
  if (why) expect(error).toMatch(why);
  else expect(error).toBeNull();
});

test('an invitation takes as many as it says, until its day, and puts them into the group', async () => {
  const groupId = newId();
  await saveGroup(
    base,
    studio.member,
    { id: groupId, name: 'Tuesday class', teacherId: studio.member, memberIds: [], dueOn: null },
    null,
  );
  const draft = { id: newId(), role: 'student', groupId, makerId: null, most: 2 } as const;
  for (const _ of [1, 2]) await addInvitation(base, studio.member, draft, TOKEN('a'), 7);
  expect(await invitationBy(base, TOKEN('a'))).toMatchObject({ group: 'Tuesday class', uses: 0, most: 2 });
  expect(await invitationBy(base, TOKEN('a'), new Date(Date.now() + 8 * 24 * HOUR))).toBeNull();
  const account = (signIn: string) => ({ name: 'Wren Lowe', signIn, password: 'a wet clay bag' });
  // Two who press the button at once are two; a third finds the link used up.
  const joined = await Promise.allSettled(
    ['wren', 'wren2', 'wren3'].map((signIn) => acceptInvitation(base, TOKEN('a'), account(signIn))),
  );
  expect(joined.map(({ status }) => status).sort()).toEqual(['fulfilled', 'fulfilled', 'rejected']);
  expect(await invitationBy(base, TOKEN('a'))).toBeNull();
  const [group] = await listGroups(base);
  expect(group!.memberIds).toHaveLength(2);
  await addInvitation(base, studio.member, { ...draft, id: newId() }, TOKEN('b'), 7);
  await expect(acceptInvitation(base, TOKEN('b'), account(' WREN '))).rejects.toThrow(Refusal);
  await expect(
    acceptInvitation(base, TOKEN('b'), { ...account('w4'), password: 'qwertyuiop' }),
  ).rejects.toThrow(/tried first/);
  await expect(acceptInvitation(base, TOKEN('z'), account('w5'))).rejects.toThrow(NotFound);
});

test('a maker without a sign-in gets one with all pieces, or is joined to who it was all along', async () => {
  const [maker, twin] = [newId(), newId()];
  await addMaker(base, studio.member, { id: maker, name: 'Sol', groupId: null });
  await addMaker(base, studio.member, { id: twin, name: 'Sol (Tuesday)', groupId: null });
  await savePieces(base, maker, tile(studio), [newId()]);
  await savePieces(base, twin, tile(studio), [newId()]);
  expect(await checkPassword(base, '', '')).toBeNull();
  expect(await mergeMaker(base, studio.member, { fromId: twin, intoId: maker })).toBe(1);
  const draft = { id: newId(), role: 'student', groupId: null, makerId: maker, most: 9 } as const;
  await addInvitation(base, studio.member, draft, TOKEN('c'), 1);
  const id = await acceptInvitation(base, TOKEN('c'), {
    name: 'Sol Amaro',
    signIn: 'sol',
    password: 'a wet clay bag',
  });
  expect(id).toBe(maker);
  expect(await checkPassword(base, 'sol', 'a wet clay bag')).toEqual({
    id,
    name: 'Sol Amaro',
    role: 'student',
  });
  expect((await listPeople(base)).find((one) => one.id === id)).toMatchObject({ pieces: 2, signIn: 'sol' });
  // Who signs in is nobody else's maker; and an account is no maker to invite.
  await expect(mergeMaker(base, studio.member, { fromId: id, intoId: studio.member })).rejects.toThrow(
    'Sol Amaro signs in.',
  );
  await expect(addInvitation(base, studio.member, { ...draft, id: newId() }, TOKEN('d'), 1)).rejects.toThrow(
    Refusal,
  );
});

test('a forgotten password is set by a link that works once within the hour, and all devices are signed out', async () => {
  const id = await somebody('Kit Maro', 'kit');
  const session = await startSession(base, id, 'a phone');
  await addPasswordLink(base, studio.member, id, TOKEN('e'));
  await addPasswordLink(base, studio.member, id, TOKEN('f'));
  expect(await passwordLinkBy(base, TOKEN('e'))).toBeNull();
  expect(await passwordLinkBy(base, TOKEN('f'), new Date(Date.now() + HOUR + 1000))).toBeNull();
  await expect(takePasswordLink(base, TOKEN('f'), 'kit maro 1')).rejects.toThrow(/name that others know/);
  expect(await takePasswordLink(base, TOKEN('f'), 'a drier clay bag')).toBe(id);
  await expect(takePasswordLink(base, TOKEN('f'), 'another clay bag')).rejects.toThrow(NotFound);
  expect(await memberOfSession(base, session)).toBeNull();
  expect(await checkPassword(base, 'kit', 'a wet clay bag')).toBeNull();
  expect(await checkPassword(base, 'kit', 'a drier clay bag')).toMatchObject({ id });
  // What a password was stands nowhere.
  const changes = await base('change').where({ row_id: id }).select('after_json');
  expect(JSON.stringify(changes)).not.toContain('clay bag');
});

test('one’s own password and names change with the password typed, and the other devices are signed out', async () => {
  const id = await somebody('Bo Teller', 'bo');
  const [here, there] = [await startSession(base, id, 'here'), await startSession(base, id, 'there')];
  const change = (password: string, next: string) => changePassword(base, id, { password, next }, here);
  await expect(change('wrong', 'a drier clay bag')).rejects.toMatchObject({ field: 'password' });
  await expect(change('a wet clay bag', 'qwertyuiop')).rejects.toMatchObject({ field: 'next' });
  await change('a wet clay bag', 'a drier clay bag');
  expect(await memberOfSession(base, here)).not.toBeNull();
  expect(await memberOfSession(base, there)).toBeNull();
  const typed = { name: 'Bo Teller-Ash', signIn: 'BO2', password: 'a drier clay bag' };
  await expect(changeSignIn(base, id, { ...typed, signIn: 'kit' })).rejects.toMatchObject({
    field: 'signIn',
  });
  await changeSignIn(base, id, typed);
  expect(await checkPassword(base, 'bo2', 'a drier clay bag')).toMatchObject({ name: 'Bo Teller-Ash' });
});

test('a second factor is in use once a code of it was typed; no code is taken twice, a recovery code once', async () => {
  const id = await somebody('Ivo Sand', 'ivo', 'teacher');
  const { secret, address } = await offerSecondFactor(base, id, 'a wet clay bag');
  expect(address).toMatch(/^otpauth:\/\/totp\/Jiten:ivo\?.*secret=/);
  const authenticator = new TOTP({ secret });
  const now = Date.now();
  const codeAt = (halfMinutes: number) => authenticator.generate({ timestamp: now + halfMinutes * 30_000 });
  await expect(confirmSecondFactor(base, id, '000000')).rejects.toMatchObject({ field: 'code' });
  expect(await accountOf(base, id)).toMatchObject({ hasSecondFactor: false, codesLeft: 0 });
  // A half minute may turn while this runs: the code of now and the next are both taken on either side of it.
  const codes = await confirmSecondFactor(base, id, codeAt(0));
  expect(await accountOf(base, id)).toMatchObject({ hasSecondFactor: true, codesLeft: 8 });
  expect(await takeCode(base, id, codeAt(0))).toBe(false);
  expect(await takeCode(base, id, codeAt(1))).toBe(true);
  expect(await takeCode(base, id, codeAt(1))).toBe(false);
  expect(await takeCode(base, id, codeAt(9))).toBe(false);
  expect(await takeCode(base, id, codes[0]!.toUpperCase().replace('-', ' '))).toBe(true);
  expect(await takeCode(base, id, codes[0]!)).toBe(false);
  expect(await accountOf(base, id)).toMatchObject({ codesLeft: 7 });
  await expect(offerSecondFactor(base, id, 'a wet clay bag')).rejects.toThrow('already');
  await removeSecondFactor(base, id, 'a wet clay bag');
  expect(await takeCode(base, id, codes[1]!)).toBe(false);
  // Who lost phone and codes is helped by a technician.
  const again = await offerSecondFactor(base, id, 'a wet clay bag');
  await confirmSecondFactor(base, id, new TOTP({ secret: again.secret }).generate());
  await dropSecondFactor(base, studio.member, id);
  expect(await accountOf(base, id)).toMatchObject({ hasSecondFactor: false, codesLeft: 0 });
});

test('a member reads in own units, else in those of the studio', async () => {
  const id = await somebody('Lin Osei', 'lin');
  expect(await unitsOf(id)).toEqual({ temperature: '°C', length: 'cm', mass: 'g', volume: 'l' });
  const { value, version } = await studioSettings(base);
  const us = {
    ...value,
    name: 'Signal Works',
    units: { temperature: '°F', length: 'in', mass: 'lb', volume: 'gal' },
  } as const;
  await saveStudioSettings(base, studio.member, us, version);
  expect(await unitsOf(id)).toEqual(us.units);
  await saveOwnUnits(base, id, { temperature: '°C' });
  await saveOwnUnits(base, id, { mass: 'g', volume: 'l' });
  expect(await unitsOf(id)).toEqual({ temperature: '°C', length: 'in', mass: 'g', volume: 'l' });
  await saveOwnUnits(base, id, null);
  expect(await unitsOf(id)).toEqual(us.units);
  await expect(saveStudioSettings(base, studio.member, value, version)).rejects.toMatchObject({
    theirs: { value: us, version: version + 1 },
  });
});

test('who leaves keeps the name on the work or takes it along, and the last technician stays', async () => {
  const people = await Promise.all(['Una Vale', 'Rio Penn'].map((name) => somebody(name, name)));
  const [una, rio] = people as [string, string];
  await savePerson(base, studio.member, { id: rio, name: 'Rio Penn', role: 'teacher' }, 1);
  await expect(
    savePerson(base, studio.member, { id: rio, name: 'Rio', role: 'student' }, 1),
  ).rejects.toMatchObject({ theirs: { role: 'teacher', version: 2 } });
  await leaveStudio(base, studio.member, { id: una, isNameKept: true });
  await leaveStudio(base, studio.member, { id: rio, isNameKept: false });
  const named = new Map((await listPeople(base)).map((one) => [one.id, one]));
  expect(named.get(una)).toMatchObject({ name: 'Una Vale', endedAt: expect.any(Date) });
  expect(named.get(rio)).toMatchObject({ name: FORMER_MEMBER, signIn: null });
  expect(JSON.stringify(await base('change').where({ row_id: rio }))).not.toContain('Rio');
  expect(await checkPassword(base, 'Una Vale', 'a wet clay bag')).toBeNull();
  await returnToStudio(base, studio.member, una);
  expect(await checkPassword(base, 'Una Vale', 'a wet clay bag')).toMatchObject({ id: una });
  await expect(returnToStudio(base, studio.member, rio)).rejects.toThrow(NotFound);
  const technicians = (await listPeople(base)).filter((one) => one.role === 'technician');
  expect(technicians).toHaveLength(1);
  await expect(
    leaveStudio(base, studio.member, { id: technicians[0]!.id, isNameKept: true }),
  ).rejects.toThrow('The studio needs a technician.');
});

test('a PIN opens the tablet of the studio five tries long, then the password does', async () => {
  const id = await somebody('Ona Reed', 'ona');
  const pinOf = (pin: string | null, password = 'a wet clay bag') => savePin(base, id, { password, pin });
  await expect(pinOf('4719', 'something else')).rejects.toMatchObject({ field: 'password' });
  for (const common of ['1111', '1234', '98765'])
    await expect(pinOf(common)).rejects.toMatchObject({ field: 'pin' });
  expect(await deviceNames(base)).not.toContainEqual(expect.objectContaining({ id }));
  await pinOf('4719');
  expect(await deviceNames(base)).toContainEqual({ id, name: 'Ona Reed', isLocked: false });
  await expect(checkPin(base, id, '4718')).rejects.toThrow('4 tries are left');
  expect(await checkPin(base, id, '4719')).toEqual({ id, name: 'Ona Reed', role: 'student' });
  // Many wrong ones at once are five, and the right one among the last comes too late.
  const tries = await Promise.allSettled(
    ['1', '2', '3', '4', '5', '6', '7'].map((end) => checkPin(base, id, `500${end}`)),
  );
  expect(tries.filter(({ status }) => status === 'fulfilled')).toEqual([]);
  await expect(checkPin(base, id, '4719')).rejects.toThrow('Sign in with your password');
  await forgetPinTries(base, id);
  expect((await checkPin(base, id, '4719')).id).toBe(id);
  await pinOf(null);
  await expect(checkPin(base, id, '4719')).rejects.toThrow('Sign in with your password');
});

test('a session by PIN ends with its device, and after an hour without use', async () => {
  const device = newId();
  await addDevice(base, studio.member, { id: device, name: 'Tablet by the sink' });
  await addDevice(base, studio.member, { id: device, name: 'Tablet by the sink' });
  expect(await listDevices(base)).toHaveLength(1);
  const [first, second] = await Promise.all(
    [1, 2].map(() => startSession(base, studio.member, 'tablet', device)),
  );
  expect(await memberOfSession(base, first!)).toMatchObject({ isByPin: true });
  await base('session')
    .where({ id: second })
    .update({ seen_at: new Date(Date.now() - 61 * 60_000) });
  expect(await memberOfSession(base, second!)).toBeNull();
  await endDevice(base, studio.member, device);
  expect(await memberOfSession(base, first!)).toBeNull();
  expect(await deviceBy(base, device)).toBeNull();
});

test('each series counts on by itself, and no number is given twice under the same letters', async () => {
  const [usual] = await listSeries(base);
  const save = (series: Parameters<typeof savePieces>[4] = {}) =>
    savePieces(base, studio.member, tile(studio, []), [newId()], series).then(([piece]) => piece!.label);
  const change = (prefix: string, next: number, use: 'usual' | 'rounds' | 'chosen', before: string | null) =>
    saveSeriesOf(base, studio.member, { prefix, next, use }, before);
  const nextOf = async () =>
    Object.fromEntries((await listSeries(base)).map((one) => [one.prefix, one.next]));
  const first = usual!.next;
  const padded = (n: number) => String(n).padStart(4, '0');
  expect(await save()).toBe(`SW-${padded(first)}`);
  await change('TT', 500, 'chosen', null);
  expect(await save({ series: { prefix: 'TT' } })).toBe('TT-0500');
  expect(await save({ series: 'rounds' })).toBe(`SW-${padded(first + 1)}`);
  await change('TT', 501, 'rounds', 'TT');
  expect(await save({ series: 'rounds' })).toBe('TT-0501');
  expect(await nextOf()).toEqual({ SW: first + 2, TT: 502 });
  // What was given out under some letters is not given again, whatever became of their series.
  await expect(change('TT', 501, 'rounds', 'TT')).rejects.toMatchObject({ field: 'next' });
  await removeSeriesOf(base, studio.member, 'TT');
  await expect(change('TT', 501, 'chosen', null)).rejects.toMatchObject({ field: 'next' });
  await expect(save({ series: { prefix: 'TT' } })).rejects.toMatchObject({ field: 'series' });
  await expect(change('SW', 9000, 'chosen', null)).rejects.toMatchObject({ field: 'prefix' });
  await expect(change('SW', first + 2, 'chosen', 'SW')).rejects.toMatchObject({ field: 'use' });
  await expect(removeSeriesOf(base, studio.member, 'SW')).rejects.toThrow(Refusal);
  // Under new letters the count may begin again; a device keeps the numbers that it holds.
  const held = await reserveNumbers(base, studio.member, { id: newId(), device: 'phone' });
  await change('KW', 1, 'usual', 'SW');
  expect(await save()).toBe('KW-0001');
  expect(held.prefix).toBe('SW');
  await expect(change('SW', held.last, 'chosen', null)).rejects.toMatchObject({ field: 'next' });
});

test('a hint is seen once; who turns hints on again sees all of them again', async () => {
  const { member } = studio;
  await Promise.all(['/wall', '/kilns', '/wall'].map((screen) => noteHintSeen(base, member, screen)));
  expect((await hintsOf(base, member)).seen).toEqual(['/kilns', '/wall']);
  await setHintsOff(base, member, true);
  expect((await hintsOf(base, member)).isOff).toBe(true);
  await setHintsOff(base, member, false);
  expect(await hintsOf(base, member)).toEqual({ isOff: false, seen: [] });
});
