import { celsius, text, type Message } from '@/core/units';
import type { Coneless, FiringState, Heat, KilnHeat } from '@/core/vocabulary';

const SHADE = 'Spyholes only through a shade for infrared.';
const SLOWLY = text`No cracking above ${celsius(200)}, and slow through ${celsius(573)} and ${celsius(225)}.`;
const GLOVES = text`gloves above ${celsius(50)}.`;

/** What to mind at a kiln in each state, by what heats it. */
const CAUTIONS: Readonly<Record<KilnHeat, Readonly<Partial<Record<FiringState, Message>>>>> = {
  electric: {
    loading:
      'Kiln wash dry, witness cones in, nothing touching the elements; ventilation on. Wiring is for licensed electricians and local codes.',
    firing: `${SHADE} Supply switched off at the end.`,
    cooling: text`${SLOWLY} Supply off before the lid goes up; ${GLOVES}`,
  },
  gas: {
    loading:
      'Kiln wash dry, witness cones in, damper open before it is lit; ventilation and carbon monoxide detector on. Lines and flues are for licensed people and local codes.',
    firing: `${SHADE} Never leave it to relight by itself. Gas off at the cock at the end.`,
    cooling: text`${SLOWLY} Gas off at the cock and at the main before the door opens; ${GLOVES}`,
  },
  wood: {
    loading:
      'Kiln wash dry, witness cones in; water at hand, carbon monoxide detector on in any shed. Fires in the open are for local rules.',
    firing: `${SHADE} Gloves, eye protection and no loose sleeves at the stoke hole.`,
    cooling: text`${SLOWLY} Embers out before the door opens; ${GLOVES}`,
  },
};

const OPEN_FIRE = 'Fires in the open are for local rules; lines and flues for licensed people.';
const CLOTHES = 'face shield, heat-proof gloves, natural fibres, hair tied back';

/** What to mind where no cone is fired to: ware that is drawn hot, and fires that stand open. */
const CAUTIONS_WITHOUT_CONE: Readonly<
  Partial<Record<Heat, Readonly<Partial<Record<FiringState, Message>>>>>
> = {
  raku: {
    loading: `Out of doors, nothing near that burns, water and an extinguisher at hand; tongs, ${CLOTHES}. Bins with lids on bare ground. ${OPEN_FIRE}`,
    firing: `Heat off at the cock or the supply before a piece is drawn, one at a time. Stand upwind: smoke and carbon monoxide. ${SHADE}`,
    cooling: text`Bins stay shut until the smoke is gone; a piece that looks cool is not: ${GLOVES}`,
  },
  pit: {
    loading: `Out of doors, nothing near that burns, water at hand; gloves and a respirator for salts and oxides, whose fumes harm. ${OPEN_FIRE}`,
    firing: 'Stand upwind, and never leave it: smoke and carbon monoxide. No children or animals at the pit.',
    cooling: text`Embers stay hot for a day below ash: ${GLOVES}`,
  },
  open: {
    loading: `Dry ware, warmed slowly; out of doors, nothing near that burns, water at hand; ${CLOTHES}. ${OPEN_FIRE}`,
    firing: 'Ware may burst: eye protection, and keep away. Stand upwind, and never leave it.',
    cooling: text`Embers stay hot for a day below ash: ${GLOVES}`,
  },
} satisfies Partial<Record<Coneless, unknown>>;

/** What to mind at a firing as it stands: by how it is fired, and by what heats the kiln; null for nothing more. */
export function cautionAt(
  heat: KilnHeat,
  { cone, state }: { readonly cone: Heat; readonly state: FiringState },
): Message | null {
  return CAUTIONS_WITHOUT_CONE[cone]?.[state] ?? CAUTIONS[heat][state] ?? null;
}

const BESIDE_KILN = text`Supply off? Near room temperature, under about ${celsius(50)}? Gloves if not. Never crack the lid above ${celsius(200)}. Rock a shelf gently before lifting it; mind the thermocouple.`;

/** How ware comes out: a kiln is opened; ware is drawn hot, or taken from the ash of a fire. */
const WAYS_OUT: Readonly<Partial<Record<Heat, { readonly link: string; readonly act: string }>>> = {
  raku: { link: 'Read what was drawn', act: 'It is drawn and cool: read it' },
  pit: { link: 'Take the ware out', act: 'The fire is cold: take the ware out' },
  open: { link: 'Take the ware out', act: 'The fire is cold: take the ware out' },
} satisfies Partial<Record<Coneless, unknown>>;

/**
 * What to say before the ware of a firing is read.
 *
 * @returns `link` leads there, `mind` is to be heeded first, `act` confirms that it was
 */
export function wayOut(heat: Heat): { readonly link: string; readonly mind: Message; readonly act: string } {
  const words = WAYS_OUT[heat] ?? { link: 'Open the kiln', act: 'It is cool: open the kiln' };
  return { ...words, mind: CAUTIONS_WITHOUT_CONE[heat]?.cooling ?? BESIDE_KILN };
}
