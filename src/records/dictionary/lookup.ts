import { rowsOf } from '@/records/platform/joins';
import { DEFECTS, defectCalled, heatName } from '@/core/vocabulary';
import { meant } from '@/core/spelling';
import type { Db } from '@/records/platform/db';
import { looksOf, within, type Answer } from './answers';
import { listsBy } from './lookupLists';

/** Answers at most this many of each kind. */
const EACH = 6;

/** Notes of so many pieces, the newest, are looked through at every word; of all of them where nothing else is found. */
const NEWEST = 5000;

/**
 * Looks a word up in everything: pieces by number, headwords by the glazes in them and the clays that they are proved
 * on (any order of words), glazes and defects by their names and what else they are called, clays, firings, orders,
 * rounds and forms by name, pieces by their notes, readings, makers, owners, orders and forms, firings by their remarks. Where nothing is found, words are read as the known ones nearest to them.
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
  const called: { also: string }[] = await base('glaze').whereNot({ also: '' }).select('also');
  const all = [
    ...[...names.flat(), ...DEFECTS].map(({ name }) => name),
    ...called.map(({ also }) => also),
    ...DEFECTS.flatMap(({ id }) => defectCalled(id)),
  ].flatMap((name) => name.toLowerCase().split(/[\s,]+/));
  return [...new Set(['over', 'cone', ...all])];
}

async function answersTo(base: Db, text: string, words: readonly string[]): Promise<Answer[]> {
  const [pieces, entries, glazes, bodies, firings, lists] = await Promise.all([
    piecesBy(base, text),
    headwordsBy(base, words),
    glazesBy(base, words),
    named(base, 'body', 'name', words),
    firingsBy(base, words),
    listsBy(base, words),
  ]);
  const defects = DEFECTS.filter(({ id, name }) => {
    const called = [id, name, ...defectCalled(id)].join(' ');
    return words.every((word) => called.includes(word));
  });
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
      detail: row.also ? `glaze, also ${row.also}` : 'glaze',
      href: `/glazes/${row.id}`,
    })),
    ...bodies.map((row) => ({
      kind: 'clay' as const,
      text: row.label,
      detail: 'clay',
      href: `/clays/${row.id}`,
    })),
    ...firings,
    ...lists,
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
    'p.described',
    'b.name',
  );
  return rows.map((row) => ({
    kind: 'piece',
    text: row.label,
    detail: [...(row.own_number ? [`own ${row.own_number}`] : []), ...looksOf(row), row.stage].join(', '),
    href: `/pieces/${row.label}`,
  }));
}

function named(
  base: Db,
  table: 'body',
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

/** Glazes that have all the words in their name and in what people call them. */
async function glazesBy(base: Db, words: readonly string[]) {
  const query = base('glaze')
    .whereNull('ended_at')
    .orderByRaw('char_length(name)')
    .limit(EACH)
    .select('id', 'name as label', 'also');
  for (const word of words.filter((w) => w !== 'over'))
    void query.whereRaw("concat_ws(' ', name, also) like ?", [within(word)]);
  return (await query) as { id: string; label: string; also: string }[];
}

/** The names that a word stands for in a headword: itself, and the glazes that people call so. */
function calledSo(glazes: readonly { readonly name: string; readonly also: string }[]) {
  return (word: string): string[] => [
    word,
    ...glazes.filter(({ also }) => also.toLowerCase().includes(word)).map(({ name }) => name),
  ];
}

/** Words that stand between names and say nothing. */
const BETWEEN = new Set(['over', 'on']);

/** Headwords that have all the words, in their own text or as the clay of an entry. */
async function headwordsBy(
  base: Db,
  words: readonly string[],
): Promise<{ id: string; label: string; clay: string | null }[]> {
  const [bodies, called] = await Promise.all([
    base('body').select('id', 'name'),
    base('glaze').whereNot({ also: '' }).select('name', 'also'),
  ]);
  const names = calledSo(called);
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
    for (const word of own)
      void query.where((either) => {
        for (const name of names(word)) void either.orWhereILike('text', within(name));
      });
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
 * Pieces that have all the words in their note, in what was noted at their readings, or in their maker, owner, order or
 * form, and firings whose remarks have them, newest first.
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
    .leftJoin('piece_order as o', 'o.id', 'p.order_id')
    .orderBy('p.number', 'desc')
    .limit(EACH);
  const firings = base('firing as f')
    .join('kiln as k', 'k.id', 'f.kiln_id')
    .orderBy('f.planned_on', 'desc')
    .limit(EACH);
  for (const word of words) {
    void pieces.whereRaw(
      // What stands in JSON is compared letter by letter.
      `(concat_ws(' ', p.note, m.name, p.form, fm.name, o.name) like ?
        or lower(json_value(p.ware, '$.owner')) like ?
        or exists (select 1 from reading r where r.piece_id = p.id and r.ended_at is null and r.note like ?))`,
      [within(word), within(word), within(word)],
    );
    void firings.whereILike('f.remarks', within(word));
  }
  const [noted, remarked] = await Promise.all([
    rowsOf<{ p: 'piece'; m: 'member' }>()(pieces, 'p.label', 'p.form', 'p.described', 'p.note', 'm.name'),
    rowsOf<{ f: 'firing'; k: 'kiln' }>()(firings, 'f.id', 'k.name', 'f.number', 'f.remarks'),
  ]);
  return [
    ...noted.map((row) => ({
      kind: 'piece' as const,
      text: row.label,
      detail: [`${looksOf({ ...row, name: '' })[0]} by ${row.name}`, row.note]
        .filter(Boolean)
        .join(': ')
        .slice(0, 120),
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
    detail: `${row.kind}, ${heatName(row.cone)}`,
    href: `/firings/${row.id}`,
  }));
}
