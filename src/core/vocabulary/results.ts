/** How the melted surface looks. */
export const SURFACES = ['gloss', 'satin', 'matte'] as const;
export type Surface = (typeof SURFACES)[number];

/** How far the glaze moved in the firing. */
export const MOVEMENTS = ['stable', 'moves', 'runs'] as const;
export type Movement = (typeof MOVEMENTS)[number];

/** What becomes of a piece. */
export const FATES = ['keep', 'first', 'second', 'give', 'refire', 'reglaze', 'grind', 'discard'] as const;
export type Fate = (typeof FATES)[number];

/** Fates after which a piece goes into a kiln again. */
export const AGAIN_FATES: readonly Fate[] = ['refire', 'reglaze'];

/** Why a piece goes into a kiln again, beside the defects that were read on it. */
export const AGAIN_REASONS = ['thin', 'patchy', 'too thick', 'dull', 'wrong colour', 'not melted'] as const;

/** What going into the kiln again did about the reason for it. */
export const AGAIN_OUTCOMES = ['gone', 'better', 'same', 'worse'] as const;
export type AgainOutcome = (typeof AGAIN_OUTCOMES)[number];

/** What a maker may expect of a firing, with one tap. */
export const EXPECTATIONS = [
  'comes out well',
  'too thin',
  'runs',
  'crawls',
  'blisters',
  'just a try',
] as const;

/** What a note for the next time may be about. */
export const REMINDER_ABOUT = ['glaze', 'clay', 'form', 'kiln', 'batch', 'firing'] as const;
export type ReminderAbout = (typeof REMINDER_ABOUT)[number];

/** What was done to a piece after its last firing. */
export const AFTER_WORK = ['ground', 'polished', 'cold finish', 'glued', 'posted'] as const;
export type AfterWork = (typeof AFTER_WORK)[number];

/** The place of a defect that is the piece's own fault and not of the glazes on it. */
export const ITSELF = 'the piece itself';

/** Where on a zone a defect sits. */
export const PLACES = [
  ...(['everywhere', 'spot', 'rim', 'foot', 'overlap', 'thick', 'decoration'] as const),
  ITSELF,
] as const;
export type Place = (typeof PLACES)[number];

/** How bad a defect is: 1 only when looked for, 2 plain, 3 spoils the piece. */
export const SEVERITIES = [1, 2, 3] as const;
export type Severity = (typeof SEVERITIES)[number];

/** From this severity on a defect is plain, and counts. */
export const PLAIN_SEVERITY: Severity = 2;

/** Whether a reading was made on the raw glaze or after a firing. */
export const READING_STAGES = ['before', 'after'] as const;
export type ReadingStage = (typeof READING_STAGES)[number];

/** How far a piece is. */
export const PIECE_STAGES = ['made', 'glazed', 'loaded', 'fired', 'read'] as const;
export type PieceStage = (typeof PIECE_STAGES)[number];

/** How a piece stands in a firing. */
export const LOAD_STATES = ['loaded', 'read', 'missing', 'broken'] as const;
export type LoadState = (typeof LOAD_STATES)[number];

/** What boiling in water, as a test of late crazing, came to. */
export const BOIL_TESTS = ['passed', 'failed'] as const;

/** What a teacher says of a glaze after a round, in the order in which it is asked. */
export const JUDGE_CRITERIA = [
  ...(['drying', 'colour', 'breaks', 'moves', 'thickness', 'over', 'under', 'repeatable'] as const),
  ...(['plain firing', 'use'] as const),
] as const;
export type JudgeCriterion = (typeof JUDGE_CRITERIA)[number];
