import type { Db } from './db';

/** A column whose words are not in the vocabulary: every cause stands with its remedies in core/clinic. */
const CAUSE = 'clinic_case.cause';

/** Columns that hold one of the words that core knows, by table and column, with the name of their type. */
const WORDS: Readonly<Record<string, string>> = {
  'piece.form': 'Form',
  'form.form': 'Form',
  'round.form': 'Form',
  'coat.method': 'Method',
  'glaze.usual_method': 'Method',
  'firing.cone': 'Heat',
  'entry.cone': 'Heat',
  'round.cone': 'Heat',
  'round_cell.cone': 'Heat',
  'round_cell.atmosphere': 'Atmosphere',
  'round_cell.texture': 'Texture',
  'test_request.cone': 'Heat',
  'test_request.atmosphere': 'Atmosphere',
  'witness_cone.cone': 'Cone',
  'body.cone_from': 'Cone',
  'body.cone_to': 'Cone',
  'firing_event.kind': 'EventKind',
  'kiln_part.part': 'KilnPart',
  'reading_defect.defect': 'DefectId',
  'reading_defect.place': 'Place',
  'entry.worst_defect': 'DefectId',
  'clinic_case.defect': 'DefectId',
  'fate.fate': 'Fate',
  'again_outcome.outcome': 'AgainOutcome',
  'reminder.about': 'ReminderAbout',
  'glaze_judgement.criterion': 'JudgeCriterion',
  'glaze.surface': 'Surface',
  'glaze.movement': 'Movement',
  'round.kind': 'RoundKind',
  'round.shape': 'RoundShape',
  'coat.side': 'Side',
  'coat.clay': 'ClayState',
  'zone.side': 'Side',
  'glaze.kind': 'GlazeKind',
  'firing.kind': 'FiringKind',
  'firing.state': 'FiringState',
  'firing.atmosphere': 'Atmosphere',
  'firing.atmosphere_reached': 'AtmosphereReached',
  'firing.filed_cone': 'Cone',
  'firing.fullness': 'Fullness',
  'entry.atmosphere': 'Atmosphere',
  'round.atmosphere': 'Atmosphere',
  'kiln.heat': 'KilnHeat',
  'photo.view': 'View',
  'piece.stage': 'PieceStage',
  'piece.fate': 'Fate',
  'firing_piece.state': 'LoadState',
  'reading.stage': 'ReadingStage',
  'reading.surface': 'Surface',
  'reading.movement': 'Movement',
  'reading_defect.severity': 'Severity',
  'member.role': 'Role',
  'shelf_repair.what': 'ShelfFault',
};

interface Column {
  readonly table: string;
  readonly column: string;
  readonly type: string;
  readonly nullable: string;
}

/**
 * The row types of every table as TypeScript, read from a migrated schema. A flag is kept as 0 or 1 and may be written
 * as a boolean; JSON is text (see `fromJson`).
 */
export async function tablesSource(base: Db): Promise<string> {
  const columns: Column[] = await base('information_schema.columns')
    .where('table_schema', base.raw('database()'))
    .andWhere('table_name', 'not like', 'knex%')
    .orderBy('table_name')
    .select({ table: 'table_name', column: 'column_name', type: 'column_type', nullable: 'is_nullable' });
  const tables = [...new Set(columns.map(({ table }) => table))];
  const row = (table: string) => {
    const fields = columns
      .filter((one) => one.table === table)
      .map((one) => `${one.column}: ${typeOf(one)}${one.nullable === 'YES' ? ' | null' : ''};`);
    return `export interface ${rowName(table)} {\n${wrapped(fields)}\n}\n`;
  };
  const rows = tables.map(row).join('\n');
  const words = [...new Set(Object.values(WORDS))].sort();
  const map = tables.map((table) => `    ${table}: TableType<${rowName(table)}>;`).join('\n');
  return `// Written by npm run tables from the schema that the migrations make. Do not edit.
import type { Knex } from 'knex';
import type { ClosedCause } from '@/core/clinic';
import type {
${wrapped(words.map((word) => `${word},`))}
} from '@/core/vocabulary';

/** A flag as MariaDB keeps it. */
export type Flag = 0 | 1;

/** What may be written for a column: a flag also as a boolean, a day also as text, 2026-11-27. */
type Written<R> = {
  [K in keyof R]: Flag extends R[K] ? R[K] | boolean : Date extends R[K] ? R[K] | string : R[K];
};

type TableType<R> = Knex.CompositeTableType<R, Partial<Written<R>>, Partial<Written<R>>>;

${rows}
declare module 'knex/types/tables' {
  interface Tables {
${map}
  }
}
`;
}

/** Words set in lines of at most 110 characters. */
function wrapped(words: readonly string[]): string {
  const lines: string[] = [];
  for (const word of words) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + word.length < 109) lines.push(`${lines.pop()} ${word}`);
    else lines.push(`  ${word}`);
  }
  return lines.join('\n');
}

/** The name of a table's row type: `firing_piece` is `FiringPieceRow`. */
function rowName(table: string): string {
  return `${table.replace(/(?:^|_)(\w)/g, (_, letter: string) => letter.toUpperCase())}Row`;
}

function typeOf({ table, column, type }: Column): string {
  const word = WORDS[`${table}.${column}`];
  if (word) return word;
  if (`${table}.${column}` === CAUSE) return 'ClosedCause';
  if (type === 'tinyint(1)') return 'Flag';
  if (type.startsWith('enum(')) return type.slice(5, -1).replaceAll(',', ' | ');
  if (/^(int|double|float|decimal|bigint|smallint)/.test(type)) return 'number';
  return /^(datetime|timestamp|date)/.test(type) ? 'Date' : 'string';
}
