import { PLAIN_COAT, PLAIN_PIECE } from '@/core/coats';
import type { Atmosphere, Heat } from '@/core/vocabulary';
import type { RequestDraft } from '@/records/dictionary';
import { saveBody, saveGlaze, type GlazeDraft } from '@/records/materials';
import { type CoatDraft, savePieces, type PieceDraft } from '@/records/pieces';
import { newId, type Db } from '@/records/platform';
import { advanceFiring, loadPieces, saveFiring, saveKiln } from '@/records/firings';
import { openingOf, recordPiece, type ReadingDraft, type OpeningZone } from '@/records/openings';
import { addMember } from '@/records/people';

/** A kiln as most tests want it. */
export const KILN = {
  name: 'Number Two',
  heat: 'electric' as const,
  litres: 190,
  shelves: 4,
  controller: '',
  openBelow: 50,
  mostCelsius: 1300,
  shelfWidthMm: 480,
  shelfDepthMm: 480,
  roundShelves: true,
};

/** A small studio: what records tests and `npm run dev` begin with. */
export interface Studio {
  readonly base: Db;
  readonly member: string;
  readonly bodyId: string;
  readonly kilnId: string;
  readonly glazes: Readonly<Record<'Sleeper' | 'Limewash' | 'Whitestrip' | 'Foot wax', string>>;
}

/** Makes a studio with a technician, one clay, one kiln, two glazes, a slip and a wax in an empty database. */
export async function fixtureStudio(base: Db): Promise<Studio> {
  const member = await addMember(base, {
    name: 'Ines Varga',
    signIn: 'ines',
    password: 'a long password',
    role: 'technician',
  });
  const [bodyId, kilnId] = [newId(), newId()];
  const body = {
    name: 'Cutting Red',
    colourOxidation: '#874a30',
    colourReduction: '#5d3423',
    iron: 'high' as const,
    coarse: true,
    coneFrom: '1' as const,
    coneTo: '6' as const,
    shrinkage: 12,
    absorption: null,
    expansion: null,
    note: '',
  };
  await saveBody(base, member, { id: bodyId, ...body }, null);
  const glazes = { Sleeper: newId(), Limewash: newId(), Whitestrip: newId(), 'Foot wax': newId() };
  for (const [glaze, id] of Object.entries(glazes)) {
    const kind = glaze === 'Whitestrip' ? 'slip' : glaze === 'Foot wax' ? 'resist' : 'glaze';
    await saveGlaze(base, member, plainGlaze(id, glaze, kind), null);
  }
  await saveKiln(base, member, { id: kilnId, ...KILN }, null);
  return { base, member, bodyId, kilnId, glazes };
}

/** A glaze of which nothing but its name is said. */
export function plainGlaze(id: string, name: string, kind: GlazeDraft['kind'] = 'glaze'): GlazeDraft {
  return {
    ...{ id, name, also: '', kind, colour: '#333333', surface: null, movement: null },
    ...{ opaque: true, decorative: false, usualMethod: null, usualTimes: null, advice: '', caution: '' },
  };
}

/** A request for one glaze over another, wherever it may be. */
export function wishFor(baseId: string, topId: string, more: Partial<RequestDraft> = {}): RequestDraft {
  return {
    ...{ id: newId(), baseId, topId, note: '' },
    ...{ groundId: null, cone: null, atmosphere: null, baseTimes: null, topTimes: null },
    ...more,
  };
}

/** One dip of a glaze over a stretch. */
export function dip(glazeId: string, from: number, to: number, more: Partial<CoatDraft> = {}): CoatDraft {
  return {
    ...PLAIN_COAT,
    ...{ glazeId, method: 'dip', times: 1, seconds: 3, side: 'outside', from, to },
    ...more,
  };
}

/** A tile with Sleeper from the foot up two thirds and Limewash from the rim down two thirds. */
export function tile({ bodyId, glazes }: Studio, coats?: readonly CoatDraft[]): PieceDraft {
  return {
    ...PLAIN_PIECE,
    ...{ form: 'tile', heightMm: 100, widthMm: 60, bodyId },
    coats: coats ?? [dip(glazes.Sleeper, 0, 0.66), dip(glazes.Limewash, 0.34, 1)],
  };
}

/** What a firing is, where it is not a glaze firing to cone 6 in oxidation. */
interface FiringKind {
  readonly cone?: Heat;
  readonly kind?: 'glaze' | 'refire' | 'lustre';
  readonly atmosphere?: Atmosphere;
  readonly toCelsius?: number;
}

/** Saves pieces, fires them at cone 6 in oxidation and opens the kiln; gives the firing and the pieces' ids. */
export async function fired(
  studio: Studio,
  drafts: readonly PieceDraft[],
  more: FiringKind = {},
): Promise<{ firingId: string; ids: string[] }> {
  const { base, member } = studio;
  const ids: string[] = [];
  for (const draft of drafts) ids.push((await savePieces(base, member, draft, [newId()]))[0]!.id);
  const firingId = await emptyFiring(studio, more);
  await loadPieces(
    base,
    member,
    firingId,
    ids.map((pieceId) => ({ pieceId, shelf: 1 })),
  );
  await advanceFiring(base, member, firingId, 'open');
  return { firingId, ids };
}

/** A firing that is being loaded. */
export async function emptyFiring(
  { base, member, kilnId }: Studio,
  { cone = '6', kind = 'glaze', atmosphere = 'oxidation', toCelsius }: FiringKind = {},
): Promise<string> {
  const id = newId();
  await saveFiring(
    base,
    member,
    {
      id,
      kilnId,
      kind,
      cone,
      ...(toCelsius && { toCelsius }),
      atmosphere,
      plannedOn: '2026-01-05',
      startsAt: '18:00',
      programmeId: null,
      segments: null,
      programme: '',
      remarks: '',
    },
    null,
  );
  return id;
}

/** What is said of a sound zone, with what differs. */
export function reading(zoneId: string, more: Partial<ReadingDraft> = {}): ReadingDraft {
  return {
    id: newId(),
    zoneId,
    follows: null,
    stage: 'after',
    surface: 'gloss',
    movement: 'stable',
    colour: '#cccccc',
    note: '',
    boilTest: null,
    defects: [],
    ...more,
  };
}

/** Reads every zone of a fired load; `look` says what is on the n-th piece. */
export async function readAll(
  { base, member }: Studio,
  firingId: string,
  look: (n: number, zone: OpeningZone) => Partial<ReadingDraft> = () => ({}),
): Promise<void> {
  for (const [n, piece] of (await openingOf(base, firingId)).pieces.entries()) {
    const readings = piece.zones.map((zone) => reading(zone.id, look(n, zone)));
    await recordPiece(base, member, { pieceId: piece.id, firingId, state: 'read', fate: 'keep', readings });
  }
}
