import { QUESTIONS, type Evidence } from '@/core/clinic';

/** An answer that was given: the question and which of its answers. */
export interface GivenAnswer {
  readonly question: string;
  readonly answer: number;
}

/**
 * Reads what was told from an address, such as "needle.1,order.0"; what is not understood is left out.
 */
export function readAnswers(text: string | undefined): GivenAnswer[] {
  return (text ?? '').split(',').flatMap((part) => {
    const [question, answer] = part.split('.');
    const known = QUESTIONS.find(({ id }) => id === question);
    return known?.answers[Number(answer)] ? [{ question: known.id, answer: Number(answer) }] : [];
  });
}

/** The same as it stands in an address. */
export function writeAnswers(told: readonly GivenAnswer[]): string {
  return told.map(({ question, answer }) => `${question}.${answer}`).join(',');
}

/** What was told, as evidence. */
export function evidenceFromAnswers(told: readonly GivenAnswer[]): Evidence {
  const given = told.map(
    ({ question, answer }) => QUESTIONS.find(({ id }) => id === question)!.answers[answer]!.gives,
  );
  return given.reduce<Evidence>((all, one) => ({ ...all, ...one }), {});
}
