import type { DefectId } from '../vocabulary';
import type { Evidence } from './evidence';
import { expectedDrop } from './rank';

/** Something to look at or to remember, with what may be answered. */
export interface Question {
  readonly id: string;
  readonly words: string;
  readonly answers: readonly { readonly words: string; readonly gives: Evidence }[];
}

type Row = readonly [id: string, words: string, ...answers: readonly (readonly [string, Evidence])[]];

const yesNo = (key: keyof Evidence, yes = 'yes', no = 'no') =>
  [
    [yes, { [key]: true }],
    [no, { [key]: false }],
  ] as const;

const ROWS: readonly Row[] = [
  ['only-thick', 'Only where the glaze is thick?', ...yesNo('onlyWhereThick', 'only thick', 'thin too')],
  ['overlap', 'Only where two glazes lie over each other?', ...yesNo('onlyInOverlap')],
  ['order', 'Is the other order clean?', ...yesNo('otherOrderClean')],
  ['alone', 'Does one of the two alone show it too, on other pieces?', ...yesNo('aloneToo')],
  ['dry', 'Was each coat dry before the next?', ...yesNo('dryBetweenCoats')],
  ['raw', 'Was the raw glaze cracked before the firing?', ...yesNo('rawGlazeCracked')],
  ['wiped', 'Was the bisque wiped?', ...yesNo('bisqueWiped')],
  ['needle', 'Does a needle reach the clay?', ...yesNo('reachesBody')],
  ['edges', 'Are the edges sharp?', ['sharp', { edges: 'sharp' }], ['rounded', { edges: 'rounded' }]],
  ['bare', 'Does the bare clay show it too?', ...yesNo('bareBodyAlso')],
  ['bodies', 'Do other clays show it too?', ...yesNo('alsoOnOtherBodies')],
  [
    'pattern',
    'Which pieces show it?',
    ['one piece', { pattern: 'one-piece' }],
    ['all twins', { pattern: 'twins-agree' }],
    ['the whole firing', { pattern: 'whole-firing' }],
    ['one clay', { pattern: 'one-body' }],
    ['one batch', { pattern: 'one-batch' }],
    ['one shelf', { pattern: 'one-shelf' }],
  ],
  [
    'firing',
    'How fast was the climb?',
    ['fast', { firing: 'fast' }],
    ['usual', { firing: 'normal' }],
    ['slow', { firing: 'slow' }],
  ],
  [
    'hold',
    'Was there a hold, or a drop and hold?',
    ['a hold', { holdMinutes: 15 }],
    ['none', { holdMinutes: 0, dropHold: false }],
  ],
  [
    'cooling',
    'How fast did it cool?',
    ['fast', { cooling: 'fast' }],
    ['usual', { cooling: 'normal' }],
    ['slow', { cooling: 'slow' }],
  ],
  [
    'bisque',
    'How was the bisque?',
    ['low or fast', { bisqueSpeed: 'fast' }],
    ['slow', { bisqueSpeed: 'slow' }],
  ],
  ['refired', 'Did refiring heal it?', ...yesNo('healedByRefiring', 'healed', 'not healed')],
  ['late', 'Did it come later, on the shelf?', ...yesNo('appearsLate', 'later', 'at once')],
  ['porous', 'Does the bare clay take up water?', ...yesNo('bodyPorous')],
  [
    'boil',
    'What did the boil test say?',
    ['crazed', { boilTest: 'failed' }],
    ['stood', { boilTest: 'passed' }],
  ],
  [
    'movement',
    'How far did the glaze move?',
    ['stayed', { movement: 'stable' }],
    ['moved', { movement: 'moves' }],
    ['ran', { movement: 'runs' }],
  ],
  ['foot', 'Did the glaze go near the foot?', ...yesNo('nearFoot')],
  ['stirred', 'Was the bucket stirred?', ...yesNo('stirred')],
  ['marks', 'Can marks of the brush or dip be seen?', ...yesNo('marksVisible')],
  [
    'reduction',
    'How strong was the reduction?',
    ['light', { reduction: 'light' }],
    ['usual', { reduction: 'medium' }],
    ['heavy', { reduction: 'heavy' }],
  ],
  [
    'start',
    'When did the reduction begin?',
    ['early', { reductionStart: 'early' }],
    ['late', { reductionStart: 'late' }],
  ],
  [
    'neighbour',
    'Did chrome or copper stand beside it?',
    ['yes', { neighbourHas: ['chrome'] }],
    ['no', { neighbourHas: [] }],
  ],
  [
    'slip',
    'What did the slip go onto?',
    ['damp clay', { slipAppliedTo: 'leather-hard' }],
    ['dry clay', { slipAppliedTo: 'dry' }],
  ],
  [
    'slip-thick',
    'Does the slip lie thick?',
    ['thick', { slipThickness: 'thick' }],
    ['thin', { slipThickness: 'thin' }],
  ],
  ['made', 'Was it there before glazing?', ...yesNo('presentBeforeGlazing')],
  ['support', 'Was the form supported?', ...yesNo('supported')],
  ['damp', 'Was the ware damp?', ...yesNo('damp')],
  ['reclaim', 'Was the clay reclaimed?', ...yesNo('bodyReclaimed')],
];

export const QUESTIONS: readonly Question[] = ROWS.map(([id, words, ...answers]) => ({
  id,
  words,
  answers: answers.map(([said, gives]) => ({ words: said, gives })),
}));

/** A question and what it is worth. */
export interface RankedQuestion {
  readonly question: Question;
  /** Expected drop of the doubt, bits. */
  readonly drop: number;
}

/** An observation that takes off less than this is not worth the walk to the shelf, bits. */
const WORTH_ASKING = 0.05;

/**
 * What to look at next: the observations not made yet that are expected to take most off the doubt, best
 * first.
 */
export function askNext(defect: DefectId, evidence: Evidence): RankedQuestion[] {
  return QUESTIONS.filter(({ answers }) =>
    answers.every(({ gives }) =>
      Object.keys(gives).every((key) => evidence[key as keyof Evidence] === undefined),
    ),
  )
    .map((question) => ({
      question,
      drop: expectedDrop(
        defect,
        evidence,
        question.answers.map(({ gives }) => ({ ...evidence, ...gives })),
      ),
    }))
    .filter(({ drop }) => drop >= WORTH_ASKING)
    .sort((a, b) => b.drop - a.drop);
}
