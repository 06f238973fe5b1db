import { rowsOf, type Maybe } from '@/records/platform/joins';
import type { ReadingRow, RoundRow, RoundCellRow } from '@/records/platform/tables';
import { dayOrNull, json, type Mapping, readRow } from '@/records/platform/mapping';
import type {
  Fate,
  Form,
  Profile,
  RoundStep,
  RoundKind,
  Heat,
  Atmosphere,
  RoundShape,
  Texture,
} from '@/core/vocabulary';
import type { Line } from '@/core/chemistry';
import { paletteFrom, type Palette } from '@/core/colour';
import type { Stack } from '@/core/coats';
import { entriesOfCell, entryOf, MOST_LAYERS, type CellLayer, type FiringTarget } from '@/core/rounds';
import { glazeKinds } from '@/records/materials/glazes';
import { fromJson, type Db } from '@/records/platform/db';
import { defectsOf } from '@/records/dictionary/entries';
import { NotFound } from '@/records/platform/errors';
import { shadesOf } from '@/records/platform/shades';

import { piecesById } from '@/records/pieces/piecePages';

/** One piece of a round where it stands. */
export interface RoundPiece {
  readonly id: string;
  readonly label: string;
  readonly step: RoundStep;
  readonly fate: Fate | null;
  readonly photoHash: string | null;
  readonly surface: string | null;
  readonly movement: string | null;
  /** The firing that it was read after; null until then. */
  readonly firingId: string | null;
  /** Of the zone with most layers, as it was seen or else measured: "#rrggbb". */
  readonly colour: string | null;
  readonly palette: Palette | null;
  readonly defects: readonly { readonly defect: string; readonly severity: number }[];
}

export interface RoundCell extends FiringTarget {
  readonly id: string;
  readonly label: string;
  readonly row: number;
  readonly column: number;
  readonly words: string;
  readonly parts: Readonly<Record<string, number>>;
  readonly recipe: readonly Line[] | null;
  readonly stack: readonly (CellLayer & { readonly name: string; readonly colour: string })[];
  /** The test glaze that it mixes; null when it lays existing ones. */
  readonly mixture: string | null;
  readonly bodyId: string;
  readonly body: string;
  /** What is done to the clay; null for nothing. */
  readonly texture: Texture | null;
  /** Which part of the round it is in, counted from 0. */
  readonly block: number;
  readonly pieces: readonly RoundPiece[];
}

export interface Round {
  readonly id: string;
  readonly number: number;
  readonly name: string;
  readonly kind: RoundKind;
  readonly shape: RoundShape;
  readonly rows: number;
  readonly columns: number;
  readonly form: Form;
  /** The studio's own form, and its silhouette. */
  readonly formId: string | null;
  readonly profile: Profile | null;
  readonly heightMm: number;
  readonly widthMm: number;
  readonly twins: number;
  readonly cone: Heat;
  readonly atmosphere: Atmosphere;
  /** "YYYY-MM-DD" */
  readonly dueOn: string | null;
  readonly by: string;
  readonly createdAt: Date;
}

const ROUND: Mapping<Omit<Round, 'by'>, RoundRow> = {
  id: 'id',
  number: 'number',
  name: 'name',
  kind: 'kind',
  shape: 'shape',
  rows: 'rows_count',
  columns: 'columns_count',
  form: 'form',
  formId: 'form_id',
  profile: json<Profile | null>()('profile'),
  heightMm: 'height_mm',
  widthMm: 'width_mm',
  twins: 'twins',
  cone: 'cone',
  atmosphere: 'atmosphere',
  dueOn: dayOrNull('due_on'),
  createdAt: 'created_at',
};

type JoinedRound = RoundRow & { readonly by: string };

function roundOf(row: JoinedRound): Round {
  return { ...readRow(ROUND, row), by: row.by };
}

function roundRows(base: Db) {
  return base('round as r')
    .join('member as m', 'm.id', 'r.member_id')
    .whereNull('r.ended_at')
    .select<JoinedRound[]>('r.*', 'm.name as by');
}

/** A round with how many of its pieces stand at each step, newest first. */
export interface RoundSummary extends Round {
  readonly targets: readonly FiringTarget[];
  readonly steps: Readonly<Partial<Record<RoundStep, number>>>;
}

/** All rounds with their progress. */
export async function listRounds(base: Db): Promise<RoundSummary[]> {
  const rounds = await roundRows(base).orderBy('r.number', 'desc');
  const counts: { round_id: string; step: RoundStep; n: number | string }[] = await base('piece as p')
    .join('round_cell as c', 'c.id', 'p.round_cell_id')
    .groupBy('c.round_id', 'step')
    .select('c.round_id', base.raw(`${STEP} as step`), base.raw('count(*) as n'));
  const targets = await base('round_cell')
    .groupBy('round_id', 'cone', 'atmosphere')
    .orderByRaw('min(block_at)')
    .select('round_id', 'cone', 'atmosphere');
  return rounds.map((row) => ({
    ...roundOf(row),
    targets: targets
      .filter((one) => one.round_id === row.id)
      .map(({ cone, atmosphere }) => ({ cone, atmosphere })),
    steps: Object.fromEntries(
      counts.filter((one) => one.round_id === row.id).map(({ step, n }) => [step, Number(n)]),
    ),
  }));
}

/** The step of a piece: its stage, but bisqued once a closed or opened bisque held it. */
const STEP = `if(p.stage in ('made', 'fired', 'read') and not exists (select 1 from coat k where k.piece_id = p.id and k.ended_at is null)
  and exists (select 1 from firing_piece fp join firing f on f.id = fp.firing_id where fp.piece_id = p.id and f.kind = 'bisque'
  and f.state in ('open', 'closed')), 'bisqued', p.stage)`;

/** The cells of a round with their pieces and what was read on them, in tray order. @throws NotFound */
export async function roundPage(
  base: Db,
  id: string,
): Promise<{ round: Round; cells: readonly RoundCell[] }> {
  const row = await roundRows(base).where('r.id', id).first();
  if (!row) throw new NotFound('This round');
  const cells: (RoundCellRow & { readonly body: string })[] = await rowsOf<{ c: 'round_cell'; b: 'body' }>()(
    base('round_cell as c')
      .join('body as b', 'b.id', 'c.body_id')
      .where('c.round_id', id)
      .orderBy(['c.block_at', 'c.row_at', 'c.column_at']),
    'c.*',
    'b.name as body',
  );
  const steps: { id: string; round_cell_id: string; step: RoundStep }[] = await base('piece as p')
    .join('round_cell as c', 'c.id', 'p.round_cell_id')
    .where('c.round_id', id)
    .orderBy('p.number')
    .select('p.id', 'p.round_cell_id', base.raw(`${STEP} as step`));
  const pieces = new Map(
    (
      await piecesById(
        base,
        steps.map((one) => one.id),
      )
    ).map((piece) => [piece.id, piece]),
  );
  const readings = await base('reading')
    .whereIn('piece_id', [...pieces.keys()])
    .where({ stage: 'after', ended_at: null })
    .orderBy('at', 'desc');
  const defects = await defectsOf(
    base,
    readings.map((one) => one.id),
  );
  const chief = await chiefColours(base, readings);
  const glazes = new Map(
    (await base('glaze').select('id', 'name', 'colour', 'round_id')).map((glaze) => [glaze.id, glaze]),
  );
  const pieceOf = ({ id: pieceId, step }: { id: string; step: RoundStep }): RoundPiece => {
    const { label, fate, photoHash } = pieces.get(pieceId)!;
    const seen = readings.filter((one) => one.piece_id === pieceId);
    const worst = new Map<string, number>();
    for (const one of seen.flatMap((reading) => defects.get(reading.id) ?? []))
      worst.set(one.defect, Math.max(worst.get(one.defect) ?? 0, one.severity));
    return {
      id: pieceId,
      label,
      step,
      fate,
      photoHash,
      surface: seen.find((one) => one.surface)?.surface ?? null,
      movement: seen.find((one) => one.movement)?.movement ?? null,
      firingId: seen[0]?.firing_id ?? null,
      colour: chief.get(pieceId)?.colour ?? null,
      palette: chief.get(pieceId)?.palette ?? null,
      defects: [...worst].map(([defect, severity]) => ({ defect, severity })),
    };
  };
  return {
    round: roundOf(row),
    cells: cells.map((cell) => ({
      id: cell.id,
      label: cell.label,
      row: cell.row_at,
      column: cell.column_at,
      words: cell.words,
      parts: fromJson(cell.parts),
      recipe: cell.recipe === null ? null : fromJson<Line[]>(cell.recipe),
      stack: fromJson<CellLayer[]>(cell.stack).map((layer) => ({
        ...layer,
        name: glazes.get(layer.glaze)?.name ?? '?',
        colour: glazes.get(layer.glaze)?.colour ?? '#888888',
      })),
      mixture:
        fromJson<CellLayer[]>(cell.stack).find(({ glaze }) => glazes.get(glaze)?.round_id === id)?.glaze ??
        null,
      bodyId: cell.body_id,
      body: cell.body,
      texture: cell.texture,
      block: cell.block_at,
      cone: cell.cone,
      atmosphere: cell.atmosphere,
      pieces: steps.filter((one) => one.round_cell_id === cell.id).map(pieceOf),
    })),
  };
}

/** The colours of each piece on the zone with most layers, of those the largest: as seen, else as measured. */
async function chiefColours(
  base: Db,
  readings: readonly Pick<ReadingRow, 'piece_id' | 'zone_id' | 'colour'>[],
): Promise<Map<string, { readonly colour: string; readonly palette: Palette | null }>> {
  const zones = await rowsOf<{ z: 'zone'; h: Maybe<'headword'> }>()(
    base('zone as z')
      .leftJoin('entry as e', 'e.id', 'z.entry_id')
      .leftJoin('headword as h', 'h.id', 'e.headword_id')
      .whereIn(
        'z.id',
        readings.map(({ zone_id }) => zone_id),
      )
      .orderByRaw('coalesce(h.depth, 0), z.`to` - z.`from`'),
    'z.id',
    'z.piece_id',
    'z.colour',
    'z.palette',
  );
  // The last one of a piece stays: the chief zone that has a colour.
  return new Map(
    zones.flatMap(({ id, piece_id: piece, colour, palette }) => {
      const picked = readings.find(({ zone_id }) => zone_id === id)?.colour ?? null;
      const said = picked ?? colour;
      return said
        ? [[piece, { colour: said, palette: paletteFrom(shadesOf(palette), colour, picked) }] as const]
        : [];
    }),
  );
}

/** What the dictionary holds of a stack, to be set against what a round would test. */
export interface KnownStack extends FiringTarget {
  /** Its key among the entries, see `entryKey`. */
  readonly entry: string;
  readonly bodyId: string;
  /** Slips below it, bottom first. */
  readonly slips: readonly string[];
  readonly stack: Stack;
  readonly proofs: number;
  readonly agreeing: number;
  readonly swatchHash: string | null;
}

/** Every stack that has proofs, once fired. */
export async function knownStacks(base: Db): Promise<KnownStack[]> {
  const rows = await rowsOf<{ e: 'entry'; g: 'ground' }>()(
    base('entry as e')
      .join('ground as g', 'g.id', 'e.ground_id')
      .join('headword as h', 'h.id', 'e.headword_id')
      .where({ 'e.firings': 1 })
      .where('e.proofs', '>', 0)
      .whereBetween('h.depth', [1, MOST_LAYERS]),
    'g.body_id',
    'g.slips',
    'e.cone',
    'e.atmosphere',
    'e.stack',
    'e.proofs',
    'e.agreeing',
    'e.swatch_hash',
  );
  return rows.map((row) => {
    const stack = fromJson<Stack>(row.stack);
    const slips = fromJson<string[]>(row.slips);
    const target = { cone: row.cone, atmosphere: row.atmosphere };
    return {
      ...target,
      entry: entryOf({ ground: { body: row.body_id, slips }, stack }, target),
      bodyId: row.body_id,
      slips,
      stack,
      proofs: row.proofs,
      agreeing: row.agreeing,
      swatchHash: row.swatch_hash,
    };
  });
}

/** A test of existing glazes that a round under way will fire. */
export interface ComingStack extends FiringTarget {
  readonly bodyId: string;
  readonly stack: readonly CellLayer[];
  /** Keys of the entries that it will prove. */
  readonly entries: readonly string[];
  readonly round: string;
}

/** The stacks of existing glazes that rounds under way will prove, one a piece that is still to be read. */
export async function comingStacks(base: Db): Promise<ComingStack[]> {
  const [rows, kindOf] = await Promise.all([
    rowsOf<{ c: 'round_cell'; r: 'round' }>()(
      base('round_cell as c')
        .join('round as r', 'r.id', 'c.round_id')
        .join('piece as p', 'p.round_cell_id', 'c.id')
        .whereNull('r.ended_at')
        .whereNull('c.recipe')
        .whereNot('p.stage', 'read'),
      'c.body_id',
      'c.cone',
      'c.atmosphere',
      'c.stack',
      'r.form',
      'r.number',
      'r.name',
    ),
    glazeKinds(base),
  ]);
  return rows.map((row) => {
    const stack = fromJson<CellLayer[]>(row.stack);
    const target = { cone: row.cone, atmosphere: row.atmosphere };
    return {
      ...target,
      bodyId: row.body_id,
      stack,
      entries: entriesOfCell(stack, row, row.body_id, target, kindOf),
      round: `round ${row.number}, ${row.name}`,
    };
  });
}
