import { type Maybe, rowsOf } from '@/records/platform/joins';
import type { ClinicCaseRow, CaseTryRow } from '@/records/platform/tables';
import type { Mapping } from '@/records/platform/mapping';
import { insertRow, updateRow } from '@/records/platform/write';
import type { ClosedCause } from '@/core/clinic';
import type { DefectId } from '@/core/vocabulary';
import { fromJson, inTransaction, type Db } from '@/records/platform/db';
import { NotFound, Refusal } from '@/records/platform/errors';

/** What a member starts an investigation with. */
export interface CaseDraft {
  readonly id: string;
  readonly defect: DefectId;
  /** The piece it is about; null for a defect at large. */
  readonly pieceId: string | null;
  /** What wider thing it is about, such as "firing.ID"; null for a piece alone. */
  readonly subject: string | null;
  /** The answers given, as they stand in an address. */
  readonly answers: string;
}

/** A remedy that was tried. */
export interface Try {
  readonly id: string;
  readonly act: string;
  readonly worked: 'yes' | 'no' | 'not yet';
  readonly round: { readonly id: string; readonly name: string } | null;
  readonly by: string;
  readonly at: Date;
}

export interface ClinicCase {
  readonly id: string;
  readonly number: number;
  readonly defect: DefectId;
  readonly label: string | null;
  readonly photoHash: string | null;
  /** As it was opened. */
  readonly subject: string | null;
  readonly answers: string;
  readonly by: string;
  readonly openedAt: Date;
  readonly closedAt: Date | null;
  readonly cause: ClosedCause | null;
  /** The cause in words, when it is none of the list; null otherwise. */
  readonly causeWords: string | null;
  readonly helped: string | null;
  readonly version: number;
  readonly tries: readonly Try[];
}

/**
 * Opens a case; the same id again is the same case.
 *
 * @returns its number
 */
export async function openCase(base: Db, memberId: string, draft: CaseDraft): Promise<number> {
  return inTransaction(base, async (trx) => {
    // The series row serves as the one lock under which cases are numbered.
    await trx('series').forUpdate().first('next');
    const known = await trx('clinic_case').where({ id: draft.id }).first('number');
    if (known) return known.number;
    const [{ last }] = (await trx('clinic_case').max('number as last')) as [{ last: number | null }];
    const number = (last ?? 0) + 1;
    const fields = { ...draft, number, openedAt: new Date() };
    await insertRow(trx, memberId, 'clinic_case', CASE, fields, { member_id: memberId });
    return number;
  });
}

/** What is kept in the row of a case. */
export type CaseFields = Pick<
  ClinicCase,
  | 'id'
  | 'number'
  | 'defect'
  | 'subject'
  | 'answers'
  | 'openedAt'
  | 'closedAt'
  | 'cause'
  | 'causeWords'
  | 'helped'
  | 'version'
> & { readonly pieceId: string | null };

const CASE: Mapping<CaseFields, ClinicCaseRow> = {
  id: 'id',
  number: 'number',
  defect: 'defect',
  pieceId: 'piece_id',
  subject: 'subject',
  answers: 'answers',
  openedAt: 'opened_at',
  closedAt: 'closed_at',
  cause: 'cause',
  causeWords: 'cause_words',
  helped: 'helped',
  version: 'version',
};

/** What may change of a case. */
export interface CaseChange {
  readonly answers?: string | undefined;
  /** Closes it: the cause that was found and what helped. */
  readonly closed?:
    { readonly cause: ClosedCause; readonly causeWords: string | null; readonly helped: string } | undefined;
  /** Opens it again. */
  readonly reopened?: true | undefined;
}

/** Changes a case. @throws Conflict when somebody changed it since, NotFound */
export async function changeCase(
  base: Db,
  memberId: string,
  { id, version, answers, closed, reopened }: CaseChange & { readonly id: string; readonly version: number },
): Promise<void> {
  await inTransaction(base, async (trx) => {
    await updateRow(trx, memberId, 'clinic_case', CASE, {
      id,
      version,
      ...(answers !== undefined && { answers }),
      ...(closed && { ...closed, closedAt: new Date() }),
      ...(reopened && { closedAt: null }),
    });
  });
}

interface TryDraft {
  readonly id: string;
  readonly caseId: string;
  readonly act: string;
  readonly worked: Try['worked'];
  readonly roundId: string | null;
}

const TRY: Mapping<TryDraft & { readonly at: Date }, CaseTryRow> = {
  id: 'id',
  caseId: 'case_id',
  act: 'act',
  worked: 'worked',
  roundId: 'round_id',
  at: 'at',
};

/** Notes a remedy that was tried, or is being tried in a round; the same id again is the same try. */
export async function addTry(base: Db, memberId: string, said: TryDraft): Promise<void> {
  await inTransaction(base, async (trx) => {
    const one = await trx('clinic_case').where({ id: said.caseId }).forUpdate().first('closed_at');
    if (!one) throw new NotFound('This case');
    if (await trx('case_try').where({ id: said.id }).first('id')) return;
    if (one.closed_at) throw new Refusal('act', 'This case is closed: open it again to note more.');
    await insertRow(trx, memberId, 'case_try', TRY, { ...said, at: new Date() }, { member_id: memberId });
  });
}

/** Cases that a list holds at most. */
const MOST_CASES = 200;

/** Cases, open ones first, the newest first. */
export async function listCases(
  base: Db,
  filter: { readonly open?: boolean; readonly defect?: DefectId; readonly id?: string } = {},
): Promise<ClinicCase[]> {
  const query = base('clinic_case as c')
    .join('member as m', 'm.id', 'c.member_id')
    .leftJoin('piece as p', 'p.id', 'c.piece_id')
    .leftJoin('photo as ph', 'ph.id', 'p.photo_id');
  if (filter.id) void query.where('c.id', filter.id);
  if (filter.defect) void query.where('c.defect', filter.defect);
  if (filter.open === true) void query.whereNull('c.closed_at');
  if (filter.open === false) void query.whereNotNull('c.closed_at');
  type Joined = ClinicCaseRow & {
    readonly by: string;
    readonly label: string | null;
    readonly photo_hash: string | null;
  };
  const rows: Joined[] = await query
    .orderByRaw('c.closed_at is not null, c.number desc')
    .limit(MOST_CASES)
    .select('c.*', 'm.name as by', 'p.label', 'ph.hash as photo_hash');
  type JoinedTry = CaseTryRow & { readonly by: string; readonly round: string | null };
  const tries: JoinedTry[] = await rowsOf<{ t: 'case_try'; r: Maybe<'round'>; m: 'member' }>()(
    base('case_try as t')
      .join('member as m', 'm.id', 't.member_id')
      .leftJoin('round as r', 'r.id', 't.round_id')
      .whereIn(
        't.case_id',
        rows.map((row) => row.id),
      )
      .orderBy('t.at'),
    't.*',
    'm.name as by',
    'r.name as round',
  );
  return rows.map((row) => ({
    id: row.id,
    number: row.number,
    defect: row.defect,
    label: row.label,
    photoHash: row.photo_hash,
    subject: row.subject,
    answers: row.answers,
    by: row.by,
    openedAt: row.opened_at,
    closedAt: row.closed_at,
    cause: row.cause,
    causeWords: row.cause_words,
    helped: row.helped,
    version: row.version,
    tries: tries
      .filter((one) => one.case_id === row.id)
      .map((one) => ({
        id: one.id,
        act: one.act,
        worked: one.worked,
        round: one.round_id && one.round ? { id: one.round_id, name: one.round } : null,
        by: one.by,
        at: one.at,
      })),
  }));
}

/** One case. @throws NotFound */
export async function caseById(base: Db, id: string): Promise<ClinicCase> {
  const [found] = await listCases(base, { id });
  if (!found) throw new NotFound('This case');
  return found;
}

/** What open cases are about: the glazes of the zones that show the defect, bottom first, by glaze id. */
export async function stacksOfOpenCases(base: Db): Promise<string[][]> {
  const rows: { layers: string }[] = await base('clinic_case as c')
    .join('zone as z', 'z.piece_id', 'c.piece_id')
    .join(
      'reading as r',
      (join) => void join.on('r.zone_id', 'z.id').andOnNull('r.ended_at').andOnVal('r.stage', 'after'),
    )
    .join('reading_defect as d', (join) => void join.on('d.reading_id', 'r.id').andOn('d.defect', 'c.defect'))
    .join('entry as e', 'e.id', 'z.entry_id')
    .join('headword as h', 'h.id', 'e.headword_id')
    .whereNull('c.closed_at')
    .whereNull('z.ended_at')
    .distinct('c.id', 'h.layers');
  return rows.map(({ layers }) => fromJson<{ glaze: string }[]>(layers).map(({ glaze }) => glaze));
}
