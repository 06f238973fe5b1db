import { type Maybe, rowsOf } from '@/records/platform/joins';
import { textureAt, type Stack, type WrittenArea } from '@/core/coats';
import { PLAIN_SEVERITY, sideWord, type DefectId, type TextureBySide } from '@/core/vocabulary';
import type { FiredZoneFacts } from '@/core/evidence';
import { coolingOf, sideOfTarget, type Segment } from '@/core/firing';
import { fromJson, type Db } from '@/records/platform/db';
import type { PieceRow, ZoneRow } from '@/records/platform/tables';

/** Read zones that are looked at at most, the newest. */
const MOST_ZONES = 400_000;

/** Every read zone of the studio with what was done to it, and whether it shows a defect plainly. */
export async function firedZones(base: Db, defect: DefectId): Promise<FiredZoneFacts[]> {
  const [rows, glazes, firings, coats] = await Promise.all([
    rowsOf<{
      z: 'zone';
      d: Maybe<'reading_defect'>;
      fp: 'firing_piece';
      b: 'body';
      g: 'ground';
      e: 'entry';
      p: 'piece';
    }>()(
      base('zone as z')
        .join(
          'reading as r',
          (join) => void join.on('r.zone_id', 'z.id').andOnNull('r.ended_at').andOnVal('r.stage', 'after'),
        )
        .join('entry as e', 'e.id', 'z.entry_id')
        .join('ground as g', 'g.id', 'e.ground_id')
        .join('body as b', 'b.id', 'g.body_id')
        .join(
          'firing_piece as fp',
          (join) => void join.on('fp.firing_id', 'z.firing_id').andOn('fp.piece_id', 'z.piece_id'),
        )
        .leftJoin(
          'reading_defect as d',
          (join) =>
            void join
              .on('d.reading_id', 'r.id')
              .andOnVal('d.defect', defect)
              .andOnVal('d.severity', '>=', PLAIN_SEVERITY),
        )
        .join('piece as p', 'p.id', 'z.piece_id')
        .whereNull('z.ended_at')
        .orderBy('r.at', 'desc')
        .limit(MOST_ZONES),
      'z.piece_id',
      'z.firing_id',
      'e.stack',
      'e.cone',
      'e.atmosphere',
      'g.slips',
      'b.name as body',
      'fp.shelf',
      ...(['z.side', 'z.area', 'p.form', 'p.texture', 'p.areas'] as const),
      'd.reading_id as bad',
    ),
    base('glaze').select('id', 'name') as Promise<{ id: string; name: string }[]>,
    heats(base),
    coatFacts(base),
  ]);
  const name = new Map(glazes.map((glaze) => [glaze.id, glaze.name]));
  const nameOf = (id: string) => name.get(id) ?? '?';
  // One list of layers for all zones of a stack: what is said of it is then said once.
  const stacks = new Map<string, FiredZoneFacts['layers']>();
  const layersOf = (text: string, stack: Stack) => {
    const known = stacks.get(text) ?? stack.map(({ glaze, times }) => ({ glaze: nameOf(glaze), times }));
    stacks.set(text, known);
    return known;
  };
  const textures = texturesSeen();
  return rows.map((row): FiredZoneFacts => {
    const stack = fromJson<Stack>(row.stack);
    const slips = fromJson<string[]>(row.slips);
    const coatOf = (glaze: string) => coats.get(`${row.piece_id} ${glaze}`);
    const codes = stack.map(({ glaze }) => coatOf(glaze)?.batch ?? null);
    const above = stack.slice(1).map(({ glaze }) => coatOf(glaze)?.dried ?? null);
    return {
      pieceId: row.piece_id,
      ...firings.get(row.firing_id)!,
      cone: row.cone,
      atmosphere: row.atmosphere,
      shelf: `shelf ${row.shelf}`,
      body: row.body,
      slips: slips.map(nameOf).join(' > '),
      layers: layersOf(JSON.stringify(stack), stack),
      batches: codes.includes(null) ? '' : codes.join(' '),
      dried: above.length === 0 || above.includes(null) ? null : !above.includes(false),
      clay: coatOf(slips[0] ?? '')?.clay ?? null,
      ...{ place: row.area ?? sideWord(row.form, row.side), form: row.form, texture: textures(row) },
      hasDefect: row.bad !== null,
    };
  });
}

/** Says what was done to the clay below zones; what is said of a piece is read once for all that say the same. */
function texturesSeen() {
  const seen = new Map<string, string | null>();
  return ({
    side,
    area,
    texture,
    areas,
  }: Pick<ZoneRow, 'side' | 'area'> & Pick<PieceRow, 'texture' | 'areas'>): string | null => {
    const key = [side, area, texture, areas].join('\n');
    if (!seen.has(key)) {
      const said = { texture: fromJson<TextureBySide>(texture), areas: fromJson<WrittenArea[]>(areas) };
      seen.set(key, textureAt(said, { side, area }).sort().join(' and ') || null);
    }
    return seen.get(key)!;
  };
}

/** What each firing was like. */
async function heats(base: Db) {
  const rows = await rowsOf<{ f: 'firing'; k: 'kiln' }>()(
    base('firing as f').join('kiln as k', 'k.id', 'f.kiln_id'),
    'f.id',
    'k.name as kiln',
    'f.number',
    'f.cone',
    'f.achieved_cone',
    'f.segments',
  );
  return new Map(
    rows.map((row) => [
      row.id,
      {
        firing: `${row.kiln} ${row.number}`,
        kiln: row.kiln,
        reached: sideOfTarget(row.cone, row.achieved_cone),
        cooling: row.segments ? coolingOf(fromJson<Segment[]>(row.segments)) : null,
      },
    ]),
  );
}

/** What is known of the coats of one glaze on one piece. */
interface CoatFacts {
  readonly batch: string | null;
  /** Whether what lay below was dry before every one of them; null when nobody said. */
  readonly dried: boolean | null;
  readonly clay: FiredZoneFacts['clay'];
}

/** What is known of coats, by piece and glaze. */
async function coatFacts(base: Db): Promise<Map<string, CoatFacts>> {
  const rows: {
    piece_id: string;
    glaze_id: string;
    code: string | null;
    dry_before: number | null;
    clay: FiredZoneFacts['clay'];
  }[] = await rowsOf<{ c: 'coat'; b: Maybe<'batch'> }>()(
    base('coat as c').leftJoin('batch as b', 'b.id', 'c.batch_id').whereNull('c.ended_at'),
    'c.piece_id',
    'c.glaze_id',
    'b.code',
    'c.dry_before',
    'c.clay',
  );
  const facts = new Map<string, CoatFacts>();
  for (const row of rows) {
    const key = `${row.piece_id} ${row.glaze_id}`;
    const before = facts.get(key);
    const dried = row.dry_before === null ? null : Boolean(row.dry_before);
    facts.set(key, {
      batch: row.code ?? before?.batch ?? null,
      dried: before?.dried === false ? false : (dried ?? before?.dried ?? null),
      clay: row.clay ?? before?.clay ?? null,
    });
  }
  return facts;
}
