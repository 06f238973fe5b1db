/** What a case may be about that is wider than a piece. */
export const CASE_SUBJECTS = ['headword', 'firing', 'glaze', 'body', 'kiln', 'batch'] as const;

export type CaseSubjectKind = (typeof CASE_SUBJECTS)[number];

/** A subject as it stands in an address and in the table of cases: "glaze.01H…". */
export function caseSubjectKey({
  kind,
  id,
}: {
  readonly kind: CaseSubjectKind;
  readonly id: string;
}): string {
  return `${kind}.${id}`;
}
