import { celsius, grams, kelvins, millimetres, text, type Message } from '../units';
/** What a remedy costs in work and material. */
export type Cost = 'none' | 'little' | 'much';

/** One thing to do about a cause. */
export interface Remedy {
  readonly act: Message;
  readonly cost: Cost;
  /** What it may spoil instead; empty when nothing known. */
  readonly risk: string;
  readonly caution?: string;
}

export interface Cause {
  readonly id: CauseId;
  /** The cause in a few words. */
  readonly name: string;
  /** Remedies in the order a technician tries them: the cheap and safe first. */
  readonly remedies: readonly Remedy[];
  /** What would show it: a test with its control. */
  readonly test: Message;
  /** Another school's view, where practitioners differ. */
  readonly school?: string;
}

const FUMES = 'Ventilate; a carbon monoxide detector at the kiln. Burners and flues are for licensed people.';
const DUST = 'Dry materials: respirator, wet cleaning.';
const OPENING = 'Leave the kiln shut until it is cool: thermal shock cracks ware and burns hands.';

type Row = readonly [
  id: string,
  name: string,
  test: Message,
  ...remedies: readonly (readonly [act: Message, cost: Cost, risk?: string, caution?: string])[],
];

const ROWS = [
  [
    'expansion-mismatch',
    'the glaze shrinks more than the body',
    'A ladder of equal steps of silica and kaolin on this body, with the glaze as it is as control and twins of each; boil and freeze all.',
    ['Use the glaze on a body it fits', 'none'],
    [
      'Add silica and kaolin in equal steps (1¼ % + 1 %, up to 5 + 4)',
      'little',
      'the whole ladder moves it about 0.4e-6/K only: check first whether that can reach a fit',
      DUST,
    ],
    [
      'Replace some soda and potash by boron, magnesia, lime or zinc',
      'much',
      'colour and surface may change',
      DUST,
    ],
    ['Apply it thinner', 'none', 'hides it for a while: it may craze later'],
  ],
  [
    'overcompression',
    'the glaze or slip shrinks less than the body',
    'The same glaze with some silica taken out and soda or potash put in, on rims and edges, beside the glaze as it is.',
    ['Take it out of use and off food surfaces', 'none', '', 'Loose slivers of glass: eye protection.'],
    ['Take some silica out, put soda or potash feldspar in', 'little', 'may craze if taken too far', DUST],
    ['Glaze both sides alike', 'none'],
    ['Take lithium out of the recipe', 'much', 'melts less', DUST],
  ],
  [
    'glaze-too-thick',
    'the glaze lies too thick',
    'One, two and three dips on one body in one firing, with twins.',
    ['Shorten the dip, or one dip less', 'none', 'thin colour'],
    ['Water the bucket to the gravity that came out well', 'none', 'slow to build up if overdone'],
    ['Wipe or sponge the glaze where it doubles', 'none'],
  ],
  [
    'glaze-too-thin',
    'the glaze lies too thin',
    'One, two and three dips on one body in one firing, with twins.',
    ['Dip longer or once more', 'none', 'what goes wrong when thick'],
    ['Let the bucket settle and take water off', 'little'],
    ['Bisque a little lower so that it takes up more', 'little', 'more gas from the body'],
  ],
  [
    'wet-between-coats',
    'the next coat went on before the one below was dry',
    'The same two coats after a minute, an hour and a day, with twins.',
    ['Wait until the sheen is gone and it feels dry before the next coat', 'none'],
    ['Warm the piece gently between the coats', 'none', 'cracks if hot'],
    ['Put a little gum into the upper glaze', 'little', 'dries more slowly'],
  ],
  [
    'dusty-or-greasy-bisque',
    'dust or grease on the bisque',
    'Half of each piece wiped with a damp sponge before glazing, half not.',
    ['Wipe every piece with a damp sponge and let it dry', 'none'],
    ['Handle bisque with clean hands only; keep it covered', 'none'],
    ['Fire the bisque again', 'little'],
  ],
  [
    'raw-shrinkage',
    'the raw glaze shrinks as it dries',
    'The same glaze with half of its clay calcined, beside the glaze as it is, both twice dipped.',
    ['Apply it thinner', 'none'],
    ['Replace part of the clay by calcined kaolin', 'little', 'settles sooner in the bucket', DUST],
    ['Replace light magnesium carbonate or raw zinc by talc, dolomite or calcined zinc', 'much', '', DUST],
  ],
  [
    'body-gas',
    'gas from the body',
    'Bisque half of the tiles a cone hotter and slower; glaze both alike, in one firing.',
    ['Bisque hotter and slower, with air', 'little', 'takes up less glaze', FUMES],
    [
      text`Soak at the top, or drop ${kelvins(50)} to ${kelvins(100)} and hold`,
      'little',
      'runny glazes move more',
    ],
    [text`Climb more slowly past ${celsius(900)}`, 'little'],
    ['Use a finer, cleaner body under this glaze', 'much'],
  ],
  [
    'glaze-gas',
    'gas from something in the glaze',
    'The same glaze without the suspect, beside it as it is, once and twice dipped.',
    ['One thin coat only', 'none'],
    [
      text`Drop ${kelvins(50)} to ${kelvins(100)} and hold so that it heals`,
      'little',
      'runny glazes move more',
    ],
    [
      'Take the gassing material out or down (carbide, carbonates, sulphates, manganese)',
      'much',
      'the effect it was there for goes too',
      DUST,
    ],
    ['Pour off the water of an old bucket and replace it', 'little', 'soluble fluxes go with it'],
  ],
  [
    'viscous-melt',
    'the melt is too stiff to heal over',
    'The same glaze with 3 and 6 % frit added, beside it as it is.',
    ['Hold at the top for 15 to 30 minutes', 'little', 'runny neighbours'],
    ['Fire half a cone hotter', 'little', 'other glazes in the load'],
    ['Add 3 to 6 % frit', 'little', 'fit and colour may change', DUST],
  ],
  [
    'too-fast-firing',
    'fired too fast',
    'One tile in a slow firing, its twin in the usual one.',
    [text`Slow the climb, above all past ${celsius(900)} and the last ${kelvins(100)}`, 'little'],
    [text`Dry the ware well and hold at ${celsius(100)} to ${celsius(120)}`, 'none'],
  ],
  [
    'no-soak',
    'no time at the top to heal',
    'The same tiles with 20 minutes of hold, or a drop and hold, and without.',
    ['Hold 10 to 30 minutes at the top', 'little', 'runny glazes move more'],
    [text`Drop ${kelvins(50)} to ${kelvins(100)} and hold half an hour`, 'little'],
    ['Fire it again', 'little', 'may bubble again'],
  ],
  [
    'underfired-kiln',
    'the kiln did not get hot enough',
    'Witness cones on every shelf in the next firing; refire one of the pieces.',
    ['Refire to cone', 'little'],
    ['Put witness cones on every shelf', 'none'],
    ['Correct the offset of the thermocouple; look at elements or burners', 'little', '', FUMES],
  ],
  [
    'overfired-kiln',
    'the kiln got too hot',
    'Witness cones on every shelf; a twin half a cone lower.',
    ['Put witness cones on every shelf; fire to them', 'none'],
    ['Lower the target or the hold', 'none', 'stiff glazes stay rough'],
    ['Correct the offset of the thermocouple', 'little'],
  ],
  [
    'body-beyond-range',
    'the body was fired past its range',
    'A bare bar of the body at its highest cone and at this one, on supports.',
    ['Fire it lower, within the range of the body', 'none', 'other glazes are needed'],
    ['Take a body that stands this cone', 'much'],
  ],
  [
    'fluid-glaze',
    'the glaze is very fluid',
    'Once and twice dipped to three heights above the foot, on cookies.',
    ['Keep it off the lower third; use a cookie', 'none'],
    ['Thinner, or once only', 'none', 'less of its movement'],
    ['Stiffen it with 3 to 5 % kaolin', 'little', 'may turn satin', DUST],
  ],
  [
    'too-near-foot',
    'glaze went too near the foot',
    text`The same coats ending ${millimetres(5)}, ${millimetres(10)} and ${millimetres(20)} above the foot.`,
    [text`Leave ${millimetres(10)} free above the foot, more for runny glazes`, 'none'],
    ['Wax the foot, wipe it clean, wash the shelf', 'none', '', 'Hot wax burns; ventilate.'],
    ['Fire on a cookie', 'none'],
  ],
  [
    'incompatible-layer',
    'these two glazes do not go together in this order',
    'Both orders and both alone, once and twice, on one body in one firing, with twins.',
    ['Turn the order round', 'none', 'another look'],
    ['Keep the overlap narrow and thin', 'none'],
    ['Choose another partner: see what the wall has without this', 'none'],
  ],
  [
    'under-reduction',
    'too little reduction, or too late',
    'Draw rings through the spyhole by cone; a second firing with earlier body reduction.',
    [
      'Begin body reduction earlier (before the glaze seals) and hold it steadily',
      'little',
      'carbon caught in the clay when overdone',
      FUMES,
    ],
    ['Place these pieces where the kiln reduces most', 'none'],
    ['Refire in reduction', 'little', 'copper reds may go liverish', FUMES],
  ],
  [
    'over-reduction',
    'too much reduction',
    'A firing with lighter reduction and a clear half hour at the end.',
    ['Lighter reduction, with a clear flame between', 'little', 'paler reds', FUMES],
    ['End with half an hour of clear firing', 'little'],
  ],
  [
    'reoxidised-cooling',
    'air got in while it cooled',
    'Close dampers and ports at once in the next firing; a ring drawn before.',
    ['Shut damper, ports and spyholes as soon as it ends', 'none', '', FUMES],
    ['Seal the leaks with fibre', 'little', '', 'Ceramic fibre: respirator.'],
  ],
  [
    'local-reduction',
    'reduced where it stood',
    'Twins on the same spot and in the middle of the kiln.',
    ['Leave more room to flame ports and neighbours', 'none'],
    ['Keep waxed or carbon-rich things away from it; better air', 'none', '', FUMES],
  ],
  [
    'fuming-neighbour',
    'chrome, tin or copper came over from a neighbour',
    'One tile beside the suspect, one on another shelf.',
    ['Fire chrome, copper and tin glazes apart', 'none'],
    ['A wall of bare ware or a cookie between them', 'none'],
    ['Wash or rest the furniture that carried chrome', 'little'],
  ],
  [
    'zinc-colour-conflict',
    'zinc in the glaze changes this colour',
    'The glaze with its zinc replaced by magnesia and lime, beside it as it is.',
    ['Use this colour in a glaze without zinc', 'none'],
    ['Replace zinc by lime, strontia or magnesia', 'much', 'melt and surface change', DUST],
  ],
  [
    'colourant-unfluxed',
    'oxide or stain lies too thick or has no flux',
    'The wash as it is, thinned by half, and with a third of frit.',
    ['Thin the wash', 'none'],
    ['Mix it with a third of frit', 'little', '', DUST],
    ['Glaze over it', 'none', '', 'Unglazed oxide has no place on tableware.'],
  ],
  [
    'colourant-volatile',
    'the colourant burns off at this heat',
    'A twin at a lower cone, covered and open.',
    ['Fire lower or shorter', 'little'],
    ['Thicker, or an encapsulated stain', 'much', 'cost'],
  ],
  [
    'opacifier-excess',
    'too much opacifier stiffens the melt',
    'The glaze with half its zircon or tin, beside it as it is.',
    ['Take a third of the zircon or tin out', 'little', 'less opaque', DUST],
    ['A longer hold', 'little'],
  ],
  [
    'slip-on-dry-clay',
    'the slip went onto clay that was too dry',
    'The slip on leather-hard, nearly dry and dry clay, with twins.',
    ['Slip at leather-hard only', 'none'],
    ['Damp the piece and let it even out first', 'none', 'may sag or split'],
    ['On bisque use an engobe made for it', 'little'],
  ],
  [
    'slip-shrinkage',
    'slip and body shrink by different amounts',
    'Bars of body and slip, wet, dry and fired; the slip with 10 % calcined kaolin.',
    ['Make the slip from the body itself', 'little'],
    [
      'Replace some clay of the slip by calcined kaolin, or add ball clay if it shrinks too little',
      'little',
      '',
      DUST,
    ],
  ],
  [
    'slip-too-thick',
    'the slip lies too thick',
    'One, two and three coats of slip on leather-hard clay.',
    ['Thinner coats, each dry to the touch', 'none'],
    ['Thin the slip', 'none', 'covers less'],
  ],
  [
    'contamination',
    'a foreign bit fell in',
    'Sieve the bucket (80 mesh) and look at what stays; glaze a clean tile.',
    ['Sieve the bucket', 'none'],
    [
      'Brush or vacuum the kiln; look at the lid and the shelves above',
      'none',
      '',
      'Ceramic fibre: respirator.',
    ],
    ['Grind the spot away', 'none', '', 'Eye protection and a respirator.'],
  ],
  [
    'application-uneven',
    'applied unevenly',
    'Dipped beside brushed and sprayed, same thickness by weight.',
    ['Dip or pour in one move; rub out drips', 'none'],
    ['Brush crosswise in three thin coats', 'none'],
    ['Put a little gum in for brushing', 'little', 'dries more slowly'],
  ],
  [
    'not-stirred-or-wrong-water',
    'the bucket was not stirred, or has too much or too little water',
    'A tile from the bucket as it stood and one after stirring and measuring.',
    ['Stir to the bottom, sieve, measure the specific gravity', 'none'],
    ['Water it, or pour water off, to the gravity on the card', 'none'],
    ['A pinch of suspender (Epsom salts, bentonite)', 'little'],
  ],
  [
    'fast-cooling',
    'cooled too fast',
    text`The same pieces with the kiln left shut past ${celsius(573)} and ${celsius(225)}.`,
    ['Leave the kiln shut until it is cool', 'none', '', OPENING],
    [text`A controlled fall past ${celsius(600)}`, 'little'],
    ['Even walls; no thick base under a thin wall', 'none'],
  ],
  [
    'slow-cooling',
    'cooled so slowly that crystals grew',
    text`A twin in a small kiln, or with a faster fall from the top to ${celsius(900)}.`,
    [text`A faster fall from the top to about ${celsius(900)}`, 'none', 'pinholes may not heal', OPENING],
    ['A little more alumina (2 to 4 % kaolin)', 'little', 'stiffer', DUST],
  ],
  [
    'body-silica',
    'free silica in the body turns over as it cools',
    text`Bars cooled slowly through ${celsius(573)} and ${celsius(225)} beside bars cooled as usual.`,
    [text`Slow through ${celsius(573)} and ${celsius(225)}`, 'little', '', OPENING],
    ['Take a body with more feldspar and less free silica', 'much'],
  ],
  [
    'lime-inclusion',
    'lime or plaster in the clay',
    'Ten fired lumps of the clay in a damp box for two weeks.',
    ['Throw the reclaimed clay away, or keep it for models', 'none'],
    ['Keep plaster out of the reclaim; scrape no plaster bats', 'none'],
    ['Sieve slops through 80 mesh', 'little'],
  ],
  [
    'damp-ware',
    'the ware was damp when it was fired',
    'Weigh a piece daily until it stays the same; fire its twin at once on a hold.',
    ['Dry until a piece is not cool to the cheek', 'none'],
    [text`Hold at ${celsius(80)} to ${celsius(95)} for hours`, 'none'],
    ['Hollow or vent thick forms', 'none'],
  ],
  [
    'moisture-expansion',
    'a porous body took up water and swelled',
    'Boil fresh twins for hours; weigh them dry and wet.',
    ['Fire the body to less than 2 % absorption', 'little', 'warping'],
    ['A glaze under more compression', 'much', 'shivers if overdone'],
    ['Not for use with water', 'none'],
  ],
  [
    'handling',
    'from making, drying or handling',
    'Mark and follow a few pieces from the wheel to the bisque.',
    ['Compress bases and joins; dry slowly under cover', 'none'],
    ['Lift by the base; never a rim', 'none'],
  ],
  [
    'unsupported-form',
    'the form did not carry itself',
    'The same form with a setter, and a cone lower.',
    ['Support spans; fire on a setter of the same clay', 'little'],
    ['Thicker and evener walls; a rim that stiffens', 'none'],
  ],
  [
    'wrong-batch',
    'this batch was mixed wrongly',
    text`A tile of this batch beside one of an earlier batch and one weighed fresh in ${grams(100)}.`,
    ['Tile it beside the batch before; mark the bucket', 'none'],
    ['Check the weights on the batch sheet; correct or throw away', 'little', '', DUST],
  ],
] as const satisfies readonly Row[];

export type CauseId = (typeof ROWS)[number][0];

const SCHOOLS: Readonly<Partial<Record<CauseId, string>>> = {
  'expansion-mismatch':
    'Lithium is widely advised against crazing and as widely rejected, for durability, colour and cost; it is not offered here.',
  'fast-cooling':
    'Tradition says that opening early crazes ware. Ceramic engineering says that the mismatch does, and waiting only hides it. Here the mismatch comes first; wait all the same, for safety and against dunting.',
};

/** Every cause, with its remedies and the test that shows it. Judgement of the trade: common practice, no source. */
export const CAUSES: readonly Cause[] = (ROWS as readonly Row[]).map(([id, name, test, ...remedies]) => {
  const school = SCHOOLS[id as CauseId];
  return {
    id: id as CauseId,
    name,
    test,
    remedies: remedies.map(([act, cost, risk = '', caution]) => ({
      act,
      cost,
      risk,
      ...(caution && { caution }),
    })),
    ...(school && { school }),
  };
});

const BY_ID = new Map(CAUSES.map((cause) => [cause.id, cause]));

/** What a case may be closed with: a cause of the list, or another one in words. */
export type ClosedCause = CauseId | 'other';

/** The cause of a closed case as it is said. @param words those of another cause */
export function closedCauseWords(cause: ClosedCause, words: string | null): string {
  return cause === 'other' ? (words ?? 'another cause') : causeOf(cause).name;
}

/** A cause by its id. */
export function causeOf(id: CauseId): Cause {
  return BY_ID.get(id)!;
}
