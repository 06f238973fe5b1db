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

/**
 * Looks a word up in everything: pieces by number, headwords by the glazes in them (any order of words),
 * glazes, clays, firings and defects by name. Where nothing is found, words are read as the known ones nearest
 * to them.
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
  const answers = await answersTo(base, text, words);
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
    named(base, 'headword', 'text', words),
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
      detail: 'entry',
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
  const rows = await rowsOf<{ p: 'piece'; b: 'body' }>()(
    base('piece as p').join('body as b', 'b.id', 'p.body_id').where('p.number', Number(digits)).limit(EACH),
    'p.label',
    'p.form',
    'p.stage',
    'b.name',
  );
  return rows.map((row) => ({
    kind: 'piece',
    text: row.label,
    detail: `${row.form}, ${row.name}, ${row.stage}`,
    href: `/pieces/${row.label}`,
  }));
}

function named(
  base: Db,
  table: string,
  column: string,
  words: readonly string[],
): Promise<{ id: string; label: string }[]> {
  const query = base(table)
    .orderByRaw('char_length(??)', [column])
    .limit(EACH)
    .select('id', `${column} as label`);
  if (table === 'headword')
    void query.whereExists(
      base('entry').whereRaw('entry.headword_id = headword.id').whereNotNull('entry.first_at'),
    );
  else void query.whereNull('ended_at');
  for (const word of words.filter((w) => w !== 'over'))
    void query.whereILike(column, `%${word.replace(/[\\%_]/g, '\\$&')}%`);
  return query;
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
