/** Whether a remedy worked, as it is kept and as it is said. */
export const WORKED_WORDS = { yes: 'helped', no: 'did not help', 'not yet': 'not known yet' } as const;

export type Worked = keyof typeof WORKED_WORDS;

export const WORKED = Object.keys(WORKED_WORDS) as Worked[];
