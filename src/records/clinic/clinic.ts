import type { Knex } from 'knex';
import { type JoinedRow, type Maybe, firstOf } from '@/records/platform/joins';
import { expansionOf } from '@/core/chemistry';
import { evidenceOf, type Evidence } from '@/core/clinic';
import { coreCoat, groundOf, isOnPlaceOf, middleOf } from '@/core/coats';
import {
  PLAIN_SEVERITY,
  formShape,
  reachMm,
  REDUCTIONS,
  type DefectId,
  type Fullness,
} from '@/core/vocabulary';
import { heatWork } from '@/core/firing';
import { curveOf, eventsOf } from '@/records/firings/logs';
import type { ZonePlace } from '@/core/photo';
import { narrowToSubject, type CaseSubject } from './caseSubject';
import { fromJson, type Db } from '@/records/platform/db';
import { NotFound, found } from '@/records/platform/errors';
import { studioBook } from '@/records/materials/materials';
import { SHOWN_PHOTO, shownPhoto, type ShownPhoto } from '@/records/pieces/photos';
import { piecePage, type FiredZone, type PiecePage } from '@/records/pieces/piecePages';
import { recipesInUse } from '@/records/materials/recipes';
import { chemistryFactsOf, type ChemistryFacts } from './chemistryFacts';

/** What the records say of one piece's defect, and the piece. */
export interface PieceCase {
  readonly piece: PiecePage;
  /** Whether somebody has marked the defect on it. */
  readonly isMarked: boolean;
  /** Headwords of the zones that show it; of all its zones while none is marked. */
  readonly headwords: readonly string[];
  readonly evidence: Evidence;
  /** What chemistry and firing say, with the figures. */
  readonly voice: ChemistryFacts;
}

const live = (zone: FiredZone) => zone.readings.find((one) => !one.ended && one.stage === 'after');
/** Whether a zone is of the entry or glaze that is asked about; every zone is of the clay, kiln, firing or batch. */
function isOfSubject(zone: FiredZone, about: Pick<CaseSubject, 'kind' | 'id'> | null): boolean {
  if (about?.kind === 'headword') return zone.headwordId === about.id;
  return about?.kind !== 'glaze' || zone.stack.some(({ glaze }) => glaze === about.id);
}
const defectOn = (zone: FiredZone, defect: DefectId) =>
  live(zone)?.defects.find((one) => one.defect === defect && one.severity >= PLAIN_SEVERITY);

/**
 * Looks up for a piece what a member would otherwise be asked: layers, recipes, fit, cones, hold, cooling, bucket,
 * body, twins, the other order and each glaze alone.
 *
 * @param label of the piece
 * @param about what the defect is asked of: zones that show it and are of something else are left out
 * @throws NotFound when it is not there or was never fired
 */
export async function pieceCase(
  base: Db,
  label: string,
  defect: DefectId,
  about: Pick<CaseSubject, 'kind' | 'id'> | null = null,
): Promise<PieceCase> {
  const piece = await piecePage(base, label);
  const last = [...piece.firings].reverse();
  const isBad = (zone: FiredZone) => Boolean(defectOn(zone, defect)) && isOfSubject(zone, about);
  const marked = last.find((one) => one.zones.some(isBad));
  const firing = marked ?? last.find((one) => one.zones.length > 0);
  if (!firing) throw new NotFound(`A firing of ${label}`);
  const bad = firing.zones.filter(isBad);
  const told = firing.zones.filter((zone) => isBad(zone) || !defectOn(zone, defect));
  const shown = bad.length ? bad : firing.zones;
  const dips = (zone: FiredZone) => zone.stack.reduce((sum, { times }) => sum + times, 0);
  const worst = shown.reduce((most, zone) => (dips(zone) > dips(most) ? zone : most));
  const [bodyRow, firingRow, recipes, book] = await Promise.all([
    base('body').where({ id: piece.bodyId }).first('*'),
    base('firing').where({ id: firing.firingId }).first('segments', 'kind', 'atmosphere', 'fullness'),
    recipesInUse(base),
    studioBook(base),
  ]);
  const [body, fired] = [found(bodyRow, 'This clay'), found(firingRow, 'This firing')];
  const expansions = new Map(
    recipes.flatMap(({ glazeId, lines }) => {
      const appen = expansionOf(lines, book);
      return appen === null ? [] : [[glazeId, appen] as const];
    }),
  );
  const layersOf = (zone: FiredZone) => groundOf(piece.bodyId, zone.stack).stack;
  const [voice, twins, { otherOrder, alone }, neighboursHaving, heat] = await Promise.all([
    chemistryFactsOf(base, { defect, piece, firing, stack: layersOf(worst), recipes, expansions, body }),
    twinsWith(base, piece.id, worst, defect),
    partsOf(base, piece.id, worst, defect),
    neighboursWith(base, piece.id, firing, defect),
    loggedHeat(base, firing.firingId),
  ]);
  return {
    piece,
    isMarked: bad.length > 0,
    headwords: [...new Set(shown.map((zone) => zone.headword))],
    voice,
    evidence: {
      ...evidenceOf({
        defect,
        zones: told.map((zone) => ({
          layers: layersOf(zone).map(({ glaze, times }) => ({ glaze, times })),
          surface: live(zone)?.surface ?? null,
          movement: live(zone)?.movement ?? null,
          place: defectOn(zone, defect)?.place ?? null,
        })),
        body: {
          iron: body.iron,
          coarse: Boolean(body.coarse),
          coneTo: body.cone_to,
          absorption: body.absorption,
          expansion: voice.body?.expansion ?? null,
        },
        firing: {
          cone: firing.cone,
          achievedCone: firing.achievedCone,
          atmosphere: fired.atmosphere,
          kind: fired.kind,
          segments: fired.segments ? fromJson<{ target: number; hold: number }[]>(fired.segments) : [],
          ...heat,
        },
        recipes: new Map(recipes.map((one) => [one.glazeId, one.lines])),
        expansions,
        twins,
        otherOrder,
        alone,
        ageDays: Math.max(0, ...bad.map((zone) => live(zone)?.ageDays ?? 0)),
        slipOn: piece.coats.find((coat) => coat.glazeKind === 'slip')?.clay ?? null,
        ...coatFactsOf(piece, worst),
        neighboursHaving,
        kilnFilled: fired.fullness && FILLED[fired.fullness],
      }),
      ...voice.evidence,
    },
  };
}

/** The share of a kiln that each word stands for. */
const FILLED: Readonly<Record<Fullness, number>> = {
  quarter: 0.25,
  half: 0.5,
  'three quarters': 0.75,
  full: 1,
};

/** What is known of the coats in a zone, so that nobody is asked again. */
function coatFactsOf(piece: PiecePage, zone: FiredZone) {
  const middle = middleOf(zone, piece.areas);
  const onSide = piece.coats.filter((coat) => isOnPlaceOf(coreCoat(coat), zone, piece.areas));
  const inIt = onSide.filter(({ from, to }) => from < middle && to > middle);
  const dried = inIt.slice(1).map(({ dryBefore }) => dryBefore);
  const methods = new Set(inIt.map(({ method }) => method));
  const glazed = onSide.filter(({ glazeKind }) => glazeKind !== 'slip' && glazeKind !== 'resist');
  const hasFoot = !formShape(piece.form).plan && zone.side !== 'inside' && zone.area === null;
  return {
    driedBetween: dried.includes(false) ? false : dried.length === 0 || dried.includes(null) ? null : true,
    method: methods.size === 1 ? [...methods][0]! : null,
    lowestGlazeMm:
      hasFoot && glazed.length > 0 ? Math.min(...glazed.map(({ from }) => from)) * reachMm(piece) : null,
  };
}

/** Other pieces on the shelf of a piece, in the same firing, that show a defect plainly. */
async function neighboursWith(
  base: Db,
  pieceId: string,
  { firingId, shelf }: PiecePage['firings'][number],
  defect: DefectId,
): Promise<number> {
  const row = await base('reading_defect as d')
    .join('reading as r', 'r.id', 'd.reading_id')
    .join(
      'firing_piece as fp',
      (join) => void join.on('fp.firing_id', 'r.firing_id').andOn('fp.piece_id', 'r.piece_id'),
    )
    .where({ 'd.defect': defect, 'r.firing_id': firingId, 'fp.shelf': shelf, 'r.stage': 'after' })
    .where('d.severity', '>=', PLAIN_SEVERITY)
    .whereNot('r.piece_id', pieceId)
    .whereNull('r.ended_at')
    .countDistinct({ pieces: 'r.piece_id' })
    .first<{ pieces: number | string }>();
  return Number(row.pieces);
}

/** What a log says of how a firing was held and reduced; nothing of it is taken from the programme. */
async function loggedHeat(base: Db, firingId: string) {
  const [curve, events] = await Promise.all([curveOf(base, firingId), eventsOf(base, firingId)]);
  const reductions = events.filter(({ kind }) => kind === 'reduction starts').map(({ note }) => note);
  return {
    heldMinutes: curve.length > 0 ? heatWork(curve).minutesNearPeak : null,
    reduction: REDUCTIONS.findLast((heaviness) => reductions.includes(heaviness)) ?? null,
  };
}

/** Pieces with a plain defect and without, among the live proofs of entries. */
async function counted(base: Db, entries: (query: Knex.QueryBuilder) => unknown, defect: DefectId, but = '') {
  const rows = await base('zone as z')
    .join('entry as e', 'e.id', 'z.entry_id')
    .join(
      'reading as r',
      (join) => void join.on('r.zone_id', 'z.id').andOnNull('r.ended_at').andOnVal('r.stage', 'after'),
    )
    .leftJoin(
      'reading_defect as d',
      (join) =>
        void join
          .on('d.reading_id', 'r.id')
          .andOnVal('d.defect', defect)
          .andOnVal('d.severity', '>=', PLAIN_SEVERITY),
    )
    .whereNull('z.ended_at')
    .whereNot('z.piece_id', but)
    .modify((query) => void entries(query))
    .groupBy('z.piece_id')
    .select<{ bad: number }[]>(base.raw('max(d.reading_id is not null) as bad'));
  const having = rows.filter(({ bad }) => Number(bad) > 0).length;
  return { having, without: rows.length - having };
}

async function twinsWith(base: Db, pieceId: string, zone: FiredZone, defect: DefectId) {
  const own = base('zone').where({ id: zone.id }).select('entry_id');
  return counted(base, (query) => query.whereIn('z.entry_id', own), defect, pieceId);
}

/**
 * Proofs of the two glazes of a zone the other way round, and of each alone on other pieces, on the same ground, cone
 * and atmosphere.
 */
async function partsOf(base: Db, pieceId: string, zone: FiredZone, defect: DefectId) {
  const own = await firstOf<{ h: 'headword'; e: 'entry' }>()(
    base('zone as z')
      .join('entry as e', 'e.id', 'z.entry_id')
      .join('headword as h', 'h.id', 'e.headword_id')
      .where('z.id', zone.id),
    'e.ground_id',
    'e.cone',
    'e.atmosphere',
    'h.depth',
    'h.base_glaze_id',
    'h.top_glaze_id',
  );
  if (own?.depth !== 2 || !own.base_glaze_id) return { otherOrder: null, alone: [] };
  const { ground_id, cone, atmosphere, top_glaze_id: top, base_glaze_id: low } = own;
  const proofsOf = (headwords: Knex.QueryBuilder, but?: string) =>
    counted(
      base,
      (query) =>
        query
          .whereIn('e.headword_id', headwords.select('id'))
          .where({ 'e.ground_id': ground_id, 'e.cone': cone, 'e.atmosphere': atmosphere }),
      defect,
      but,
    );
  const [otherOrder, ...alone] = await Promise.all([
    proofsOf(base('headword').where({ depth: 2, base_glaze_id: top, top_glaze_id: low })),
    ...[top, low].map((glaze) =>
      proofsOf(base('headword').where({ depth: 1, top_glaze_id: glaze }), pieceId),
    ),
  ]);
  return { otherOrder, alone };
}

/** A piece that proves a defect. */
export interface DefectProof {
  readonly label: string;
  readonly photo: ShownPhoto | null;
  readonly headword: string;
  /** Where it shows the defect plainly. */
  readonly zones: readonly (ZonePlace & { readonly area: string | null })[];
}

/** Pieces that show a defect plainly, the newest first, the worst of them; of one firing, entry, glaze … when that is asked. */
export async function piecesWith(
  base: Db,
  defect: DefectId,
  about: Pick<CaseSubject, 'kind' | 'id'> | null = null,
  limit = 8,
): Promise<DefectProof[]> {
  const rows = await base('reading_defect as d')
    .join('reading as r', 'r.id', 'd.reading_id')
    .join('zone as z', 'z.id', 'r.zone_id')
    .join('entry as e', 'e.id', 'z.entry_id')
    .join('headword as h', 'h.id', 'e.headword_id')
    .join('ground as g', 'g.id', 'e.ground_id')
    .join('piece as p', 'p.id', 'z.piece_id')
    .leftJoin('photo as ph', 'ph.id', 'p.photo_id')
    .where({ 'd.defect': defect })
    .where('d.severity', '>=', PLAIN_SEVERITY)
    .whereNull('r.ended_at')
    .whereNull('z.ended_at')
    .modify((query) => void (about && narrowToSubject(query, about)))
    .groupBy('p.id', 'p.label', 'ph.hash', 'ph.width', 'ph.height', 'ph.frame')
    .orderByRaw('max(r.at) desc, max(d.severity) desc, p.label desc')
    .limit(limit)
    .select<
      (JoinedRow<{ p: 'piece'; ph: Maybe<'photo'> }, 'p.label' | (typeof SHOWN_PHOTO)[number]> & {
        headword: string;
        zones: unknown;
      })[]
    >(
      'p.label',
      ...SHOWN_PHOTO,
      base.raw('min(h.text) as headword'),
      base.raw(
        "json_arrayagg(json_object('area', z.area, 'side', z.side, 'from', z.`from`, 'to', z.`to`)) as zones",
      ),
    );
  return rows.map((row) => ({
    label: row.label,
    photo: shownPhoto(row),
    headword: row.headword,
    zones: fromJson<DefectProof['zones']>(row.zones),
  }));
}
