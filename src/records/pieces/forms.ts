import type { Form, Profile } from '@/core/vocabulary';
import { inTransaction, type Db } from '@/records/platform/db';
import { json, readRow, type Mapping } from '@/records/platform/mapping';
import type { FormRow } from '@/records/platform/tables';
import { insertRow, refuseTakenName, setEnded, updateRow } from '@/records/platform/write';

/** A size on the way from the wheel to the shelf, mm; null where nobody measured it. */
export interface FormSize {
  readonly heightMm: number | null;
  readonly widthMm: number | null;
}

/** A form of the studio's own. */
export interface StudioForm {
  readonly id: string;
  readonly name: string;
  /** The form of the library that it is a kind of: its sides, how it stands, the words for its parts. */
  readonly form: Form;
  readonly profile: Profile;
  /** Of the fired piece, mm. */
  readonly heightMm: number;
  readonly widthMm: number;
  /** Clay for one, as it is weighed out. */
  readonly clayGrams: number | null;
  readonly sizes: { readonly thrown: FormSize; readonly trimmed: FormSize };
  /** Bands that are usual on it, fractions of its reach. */
  readonly bands: readonly { readonly name: string; readonly from: number; readonly to: number }[];
  readonly note: string;
  readonly version: number;
}

export type StudioFormDraft = Omit<StudioForm, 'version'>;

const FORM: Mapping<StudioForm, FormRow> = {
  id: 'id',
  name: 'name',
  form: 'form',
  profile: json<Profile>()('profile'),
  heightMm: 'height_mm',
  widthMm: 'width_mm',
  clayGrams: 'clay_grams',
  sizes: json<StudioForm['sizes']>()('sizes'),
  bands: json<StudioForm['bands']>()('bands'),
  note: 'note',
  version: 'version',
};

/** The studio's own forms in use, by name. */
export async function listForms(base: Db): Promise<StudioForm[]> {
  const rows = await base('form').whereNull('ended_at').orderBy('name').select('*');
  return rows.map((row) => readRow(FORM, row));
}

/** Forms that were taken out of the list, by name. */
export async function archivedForms(base: Db): Promise<Pick<StudioForm, 'id' | 'name'>[]> {
  return base('form').whereNotNull('ended_at').orderBy('name').select('id', 'name');
}

/** Adds a form, or changes one under its optimistic lock. Pieces that were made keep the silhouette they had. */
export async function saveForm(
  base: Db,
  memberId: string,
  draft: StudioFormDraft,
  version: number | null,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    await refuseTakenName(trx, 'form', draft);
    if (version !== null) return updateRow(trx, memberId, 'form', FORM, { ...draft, version });
    if (await trx('form').where({ id: draft.id }).first('id')) return;
    await insertRow(trx, memberId, 'form', FORM, draft);
  });
}

/** Takes a form out of the list, or puts it back. @throws NotFound */
export async function setFormEnded(base: Db, memberId: string, id: string, isEnded: boolean): Promise<void> {
  await inTransaction(base, (trx) => setEnded(trx, memberId, 'form', id, isEnded));
}

/** Pieces that say which forms are made here: the newest. */
const RECENT = 2000;

/** The forms of the library that are made here, most first: what an editor offers before the others. */
export async function formsInUse(base: Db): Promise<Form[]> {
  const newest = base('piece').orderBy('number', 'desc').limit(RECENT).select('form');
  const rows: { form: Form }[] = await base(newest.as('p'))
    .groupBy('p.form')
    .orderByRaw('count(*) desc, p.form')
    .select('p.form');
  return rows.map(({ form }) => form);
}
