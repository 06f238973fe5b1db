import type { StudioClock } from '@/core/time';
import { DATE_STYLES, setStudioClock } from '@/core/time';
import { METRIC, setDecimalMark, type DecimalMark, type Units } from '@/core/units';
import type { Atmosphere, Cone, Form } from '@/core/vocabulary';
import { recordChange } from '@/records/platform/changes';
import { fromJson, inTransaction, type Db } from '@/records/platform/db';
import { found } from '@/records/platform/errors';
import type { Store } from '@/records/platform/store';
import { storePicture } from '@/records/pieces';
import { saveSetting, setting } from '@/records/platform/settings';

/** What is said of the studio as a whole. */
export interface StudioSettings extends StudioClock {
  /** Empty as long as nobody named it. */
  readonly name: string;
  /** What is shown to who chose nothing else. */
  readonly units: Units;
  /** The mark before the decimals of a number. */
  readonly decimals: DecimalMark;
  /** Cones and atmospheres that are fired here, offered first; none for all. */
  readonly cones: readonly Cone[];
  readonly atmospheres: readonly Atmosphere[];
  /** What a new piece starts with for a member who has made none. */
  readonly form: Form | null;
  readonly bodyId: string | null;
  /** Whether a technician works only with a second factor. */
  readonly isFactorRequired: boolean;
}

const NAME = 'studio';
const FIRST: StudioSettings = {
  name: '',
  units: METRIC,
  zone: null,
  dates: DATE_STYLES[0],
  decimals: '.',
  cones: [],
  atmospheres: [],
  form: null,
  bodyId: null,
  isFactorRequired: false,
};

/** The settings of the studio with their version. */
export async function studioSettings(base: Db): Promise<{ value: StudioSettings; version: number }> {
  const { value, version } = await setting(base, NAME, FIRST);
  return { value: { ...FIRST, ...value, units: { ...METRIC, ...value.units } }, version };
}

/** Changes the settings of the studio. @throws Conflict when somebody changed them in between */
export async function saveStudioSettings(
  base: Db,
  memberId: string,
  settings: StudioSettings,
  version: number,
): Promise<void> {
  await saveSetting(base, memberId, NAME, settings, version);
}

/** The settings of the studio for one answer of this server, which goes by the studio's clock and numbers from here on. */
export async function settingsForAnswer(base: Db): Promise<StudioSettings> {
  const { value } = await studioSettings(base);
  const zone = value.zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
  setStudioClock({ zone, dates: value.dates });
  setDecimalMark(value.decimals);
  return { ...value, zone };
}

/** The units a member reads in: the own choice, else those of the studio. */
export async function unitsFor(base: Db, memberId: string, ofStudio: Units): Promise<Units> {
  const row = await base('member').where({ id: memberId }).first('units');
  return { ...ofStudio, ...(row?.units ? fromJson<Partial<Units>>(row.units) : {}) };
}

/** Keeps the units a member chose; null for those of the studio again. */
export async function saveOwnUnits(base: Db, memberId: string, units: Partial<Units> | null): Promise<void> {
  await inTransaction(base, async (trx) => {
    const row = found(await trx('member').where({ id: memberId }).forUpdate().first('units'), 'This member');
    const before = row.units ? fromJson<Partial<Units>>(row.units) : null;
    const after = units && { ...before, ...units };
    await trx('member')
      .where({ id: memberId })
      .update({ units: after && JSON.stringify(after) });
    await recordChange(trx, memberId, 'member', memberId, { units: before }, { units: after });
  });
}

const LOGO = 'logo';

/** The picture at the head of the studio's prints, by its content hash; null without one. */
export async function logoOf(base: Db): Promise<string | null> {
  return (await setting<string | null>(base, LOGO, null)).value;
}

/**
 * Puts a picture at the head of prints, or takes it away.
 *
 * @param picture its bytes as they were uploaded; null for none
 * @throws Refusal when the bytes are no picture that can be read
 */
export async function saveLogo(
  base: Db,
  store: Store,
  memberId: string,
  picture: Buffer | null,
): Promise<void> {
  const hash = picture && (await storePicture(store, picture));
  const { version } = await setting<string | null>(base, LOGO, null);
  await saveSetting(base, memberId, LOGO, hash, version);
}

/** The first-time hints of screens: whether a member wants them, and which were seen. */
export interface Hints {
  readonly isOff: boolean;
  /** Paths of the screens. */
  readonly seen: readonly string[];
}

/** What a member has seen of the hints. */
export async function hintsOf(base: Db, memberId: string): Promise<Hints> {
  const [member, seen] = await Promise.all([
    base('member').where({ id: memberId }).first('hints_off'),
    base('hint_seen').where({ member_id: memberId }).orderBy('screen').pluck('screen'),
  ]);
  return { isOff: member?.hints_off === 1, seen };
}

/** Notes that a member saw the hint of a screen. */
export async function noteHintSeen(base: Db, memberId: string, screen: string): Promise<void> {
  await base('hint_seen').insert({ member_id: memberId, screen }).onConflict().ignore();
}

/** Turns the hints of a member off, or all of them on again. */
export async function setHintsOff(base: Db, memberId: string, isOff: boolean): Promise<void> {
  await inTransaction(base, async (trx) => {
    const row = found(
      await trx('member').where({ id: memberId }).forUpdate().first('hints_off'),
      'This member',
    );
    await trx('member').where({ id: memberId }).update({ hints_off: isOff });
    await trx('hint_seen').where({ member_id: memberId }).delete();
    await recordChange(trx, memberId, 'member', memberId, { hintsOff: row.hints_off }, { hintsOff: isOff });
  });
}
