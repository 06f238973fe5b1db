import { rowsOf } from '@/records/platform/joins';
import { DEFECTS } from '@/core/vocabulary';
import { meant } from '@/core/spelling';
import type { Db } from '@/records/platform/db';

/** One answer of the look-up field. */
export interface Answer {
  readonly kind: 'piece' | 'entry' | 'glaze' | 'clay' | 'firing' | 'defect';
  readonly text: string;
  readonly detail: string;
  readonly href: string;
}

/** Answers at most this many of each kind. */
const EACH = 6;

/** Notes of so many pieces, the newest, are looked through at every word; of all of them where nothing else is found. */
const NEWEST = 5000;

/**
 * Looks a word up in everything: pieces by number, headwords by the glazes in them and the clays that they are proved
 * on (any order of words), glazes, clays, firings and defects by name, pieces by their notes, makers and forms, firings
 * by their remarks. Where nothing is found, words are read as the known ones nearest to them.
 *
 * @returns the answers, and the words as they were read
 */
export async function lookUp(base: Db, text: string): Promise<{ answers: Answer[]; read: string }> {
  const words = text
    .trim()
    .toLowerCase()
    .split(/[\s,]+/)
    .filter(Boolean)
    .slice(0, 6);
  if (words.length === 0) return { answers: [], read: '' };
  const named = await answersTo(base, text, words);
  const noted = await notesOn(base, words, named.length ? NEWEST : null);
  const answers = [...named, ...noted.filter(({ href }) => !named.some((one) => one.href === href))];
  if (answers.length > 0) return { answers, read: words.join(' ') };
  const read = meant(words, await knownWords(base));
  if (read.join(' ') === words.join(' ')) return { answers, read: read.join(' ') };
  return { answers: await answersTo(base, read.join(' '), read), read: read.join(' ') };
}

/** Every word in a name, lower case. */
async function knownWords(base: Db): Promise<string[]> {
  const names = await Promise.all(
    ['glaze', 'body', 'kiln'].map((table): Promise<{ name: string }[]> => base(table).select('name')),
  );
  const all = [...names.flat(), ...DEFECTS].flatMap(({ name }) => name.toLowerCase().split(/[\s,]+/));
  return [...new Set(['over', 'cone', ...all])];
}

async function answersTo(base: Db, text: string, words: readonly string[]): Promise<Answer[]> {
  const [pieces, entries, glazes, bodies, firings] = await Promise.all([
    piecesBy(base, text),
    headwordsBy(base, words),
    named(base, 'glaze', 'name', words),
    named(base, 'body', 'name', words),
    firingsBy(base, words),
  ]);
  const defects = DEFECTS.filter(({ id, name }) =>
    words.every((word) => id.includes(word) || name.includes(word)),
  );
  return [
    ...pieces,
    ...entries.map((row) => ({
      kind: 'entry' as const,
      text: row.label,
      detail: row.clay ? `entry, on ${row.clay}` : 'entry',
      href: `/entry/${row.id}`,
    })),
    ...glazes.map((row) => ({
      kind: 'glaze' as const,
      text: row.label,
      detail: 'glaze',
      href: `/glazes/${row.id}`,
    })),
    ...bodies.map((row) => ({
      kind: 'clay' as const,
      text: row.label,
      detail: 'clay',
      href: `/clays/${row.id}`,
    })),
    ...firings,
    ...defects.slice(0, EACH).map(({ id, name, look }) => ({
      kind: 'defect' as const,
      text: name,
      detail: look,
      href: `/clinic#${id}`,
    })),
  ];
}

async function piecesBy(base: Db, text: string): Promise<Answer[]> {
  const digits = text.match(/\d+/)?.[0];
  if (!digits) return [];
  const own = text.trim();
  const rows = await rowsOf<{ p: 'piece'; b: 'body' }>()(
    base('piece as p')
      .join('body as b', 'b.id', 'p.body_id')
      .where((either) => void either.where('p.number', Number(digits)).orWhere('p.own_number', own))
      // What its maker numbered so is mostly of lately.
      .orderByRaw('p.own_number = ?, p.made_at desc', [own])
      .limit(EACH),
    'p.label',
    'p.own_number',
    'p.form',
    'p.stage',
    'b.name',
  );
  return rows.map((row) => ({
    kind: 'piece',
    text: row.label,
    detail: [...(row.own_number ? [`own ${row.own_number}`] : []), row.form, row.name, row.stage].join(', '),
    href: `/pieces/${row.label}`,
  }));
}

/** What a word is within, for LIKE. */
const within = (word: string) => `%${word.replace(/[\\%_]/g, '\\$&')}%`;

function named(
  base: Db,
  table: 'glaze' | 'body',
  column: 'name',
  words: readonly string[],
): Promise<{ id: string; label: string }[]> {
  const query = base(table)
    .whereNull('ended_at')
    .orderByRaw('char_length(??)', [column])
    .limit(EACH)
    .select('id', `${column} as label`);
  for (const word of words.filter((w) => w !== 'over')) void query.whereILike(column, within(word));
  return query;
}

/** Words that stand between names and say nothing. */
const BETWEEN = new Set(['over', 'on']);

/** Headwords that have all the words, in their own text or as the clay of an entry. */
async function headwordsBy(
  base: Db,
  words: readonly string[],
): Promise<{ id: string; label: string; clay: string | null }[]> {
  const bodies = await base('body').select('id', 'name');
  const said = words.filter((word) => !BETWEEN.has(word));
  // Words that are in the name of a clay, which has to have all of them.
  const ofClay = said.filter((word) => bodies.some(({ name }) => name.toLowerCase().includes(word)));
  const clays = bodies.filter(({ name }) => ofClay.every((word) => name.toLowerCase().includes(word)));
  const find = async (
    own: readonly string[],
    on: readonly string[] | null,
  ): Promise<{ id: string; label: string }[]> => {
    const entries = base('entry').whereRaw('entry.headword_id = headword.id').whereNotNull('entry.first_at');
    if (on) void entries.join('ground', 'ground.id', 'entry.ground_id').whereIn('ground.body_id', [...on]);
    const query = base('headword')
      .whereExists(entries)
      .orderByRaw('char_length(text)')
      .limit(EACH)
      .select('id', 'text as label');
    for (const word of own) void query.whereILike('text', within(word));
    return query;
  };
  const plain = await find(said, null);
  const others = said.filter((word) => !ofClay.includes(word));
  if (plain.length > 0 || ofClay.length === 0 || others.length === 0 || clays.length === 0)
    return plain.map((row) => ({ ...row, clay: null }));
  const onClay = await find(
    others,
    clays.map(({ id }) => id),
  );
  return onClay.map((row) => ({ ...row, clay: clays.map(({ name }) => name).join(' or ') }));
}

/**
 * Pieces whose note, maker or form has all the words, and firings whose remarks have them, newest first.
 *
 * @param newest how many pieces are looked through; null for all
 */
async function notesOn(base: Db, words: readonly string[], newest: number | null): Promise<Answer[]> {
  // A number alone asks for a piece, not for every note that has it.
  if (words.every((word) => /^[\d-]+$/.test(word))) return [];
  const some = base('piece').orderBy('number', 'desc').select('id');
  if (newest !== null) void some.limit(newest);
  const pieces = base('piece as p')
    .join(some.as('n'), 'n.id', 'p.id')
    .join('member as m', 'm.id', 'p.member_id')
    .leftJoin('form as fm', 'fm.id', 'p.form_id')
    .orderBy('p.number', 'desc')
    .limit(EACH);
  const firings = base('firing as f')
    .join('kiln as k', 'k.id', 'f.kiln_id')
    .orderBy('f.planned_on', 'desc')
    .limit(EACH);
  for (const word of words) {
    void pieces.whereRaw("concat_ws(' ', p.note, m.name, p.form, fm.name) like ?", [within(word)]);
    void firings.whereILike('f.remarks', within(word));
  }
  const [noted, remarked] = await Promise.all([
    rowsOf<{ p: 'piece'; m: 'member' }>()(pieces, 'p.label', 'p.form', 'p.note', 'm.name'),
    rowsOf<{ f: 'firing'; k: 'kiln' }>()(firings, 'f.id', 'k.name', 'f.number', 'f.remarks'),
  ]);
  return [
    ...noted.map((row) => ({
      kind: 'piece' as const,
      text: row.label,
      detail: [`${row.form} by ${row.name}`, row.note].filter(Boolean).join(': ').slice(0, 120),
      href: `/pieces/${row.label}`,
    })),
    ...remarked.map((row) => ({
      kind: 'firing' as const,
      text: `${row.name} ${row.number}`,
      detail: row.remarks.slice(0, 120),
      href: `/firings/${row.id}`,
    })),
  ];
}

async function firingsBy(base: Db, words: readonly string[]): Promise<Answer[]> {
  const query = base('firing as f')
    .join('kiln as k', 'k.id', 'f.kiln_id')
    .orderBy('f.planned_on', 'desc')
    .limit(EACH);
  for (const word of words)
    void query.whereRaw("concat(k.name, ' ', f.number, ' cone ', f.cone, ' ', f.kind) like ?", [`%${word}%`]);
  const rows = await rowsOf<{ f: 'firing'; k: 'kiln' }>()(
    query,
    'f.id',
    'k.name',
    'f.number',
    'f.cone',
    'f.kind',
  );
  return rows.map((row) => ({
    kind: 'firing',
    text: `${row.name} ${row.number}`,
    detail: `${row.kind}, cone ${row.cone}`,
    href: `/firings/${row.id}`,
  }));
}
