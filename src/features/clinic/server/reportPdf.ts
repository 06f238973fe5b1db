import { sayMessage, type Units } from '@/core/units';
import 'server-only';
import { closedCauseWords, foundWords, type Ranking } from '@/core/clinic';
import { defectName } from '@/core/vocabulary';
import type { ClinicCase } from '@/records/clinic';
import { shortDay } from '@/core/time';
import type { PrintFor } from '@/features/shared/server/printFor';
import { openPages } from '@/ui/pdf';
import type { Diagnosis } from './diagnosisOf';
import { contradictionsOf } from '../model/contradictions';
import { WORKED_WORDS } from '../model/tries';
import { evidenceFromAnswers, type GivenAnswer } from '../model/answers';
import { experimentWords, percentWords, worthWords } from '../model/words';

/** Photos on a report at most. */
const PHOTOS = 4;

/**
 * A case as a PDF for a class or a supplier: what is seen, the three voices, causes with reasons, what was tried and
 * what helped. No member is named.
 *
 * @param photo gives a photo as JPEG, or null when it is not there
 */
export async function reportPdf(
  found: ClinicCase,
  diagnosis: Diagnosis,
  told: readonly GivenAnswer[],
  photo: (hash: string) => Promise<Buffer | null>,
  { head, units }: PrintFor,
): Promise<Buffer> {
  const { defect, ranking, proofs, about, experiments } = diagnosis;
  const subject = about?.words ?? found.label ?? 'the studio';
  const title = `Case ${found.number}: ${defectName(defect.id)}, ${subject}`;
  const { line, part, pictures, finish } = await openPages(title, head);
  line(title, 20, 'bold', 0);
  line(`Opened ${shortDay(found.openedAt)}. What is seen: ${defect.look}; ${defect.toldApart}.`);
  if (defect.caution) line(defect.caution);
  const shown = await Promise.all(
    proofs
      .filter((one) => one.photo !== null)
      .slice(0, PHOTOS)
      .map(async (one) => ({ words: one.label, jpeg: await photo(one.photo!.hash) })),
  );
  pictures(shown);
  if (found.closedAt)
    part(`Closed ${shortDay(found.closedAt)}`, [
      `The cause: ${closedCauseWords(found.cause!, found.causeWords)}. What helped: ${found.helped}.`,
      ...contradictionsOf(found, diagnosis.forward),
    ]);
  part('What you told', foundWords(defect.id, evidenceFromAnswers(told)));
  part(
    'What the tiles say',
    experiments.map((one) => `${experimentWords(one)}; ${worthWords(one)}.`),
  );
  part(
    `What chemistry and firing say of ${diagnosis.found?.piece.label}`,
    diagnosis.found?.voice.sentences.map((one) => sayMessage(one, units)) ?? [],
  );
  part(ranking.enough ? 'Causes' : 'Causes, not enough to tell yet', causesOf(ranking, units));
  part(
    'What was tried',
    found.tries.map(
      ({ act, worked, round, at }) =>
        `${shortDay(at)}: ${act}: ${WORKED_WORDS[worked]}${round ? `, in ${round.name}` : ''}.`,
    ),
  );
  line(
    'Weights of causes are trade judgement. Chances are exact, corrected for everything that was tested.',
    9,
  );
  return finish();
}

/** Causes on a report at most. */
const CAUSES = 4;

function causesOf({ causes }: Ranking, units: Units): string[] {
  return causes
    .slice(0, CAUSES)
    .map(({ cause, score, because, against }) =>
      [
        `${percentWords(score)}: ${cause.name}.`,
        because.length ? `For it: ${because.map(({ words }) => words).join('; ')}.` : '',
        against.length ? `Against it: ${against.map(({ words }) => words).join('; ')}.` : '',
        `The test: ${sayMessage(cause.test, units)}`,
      ]
        .filter(Boolean)
        .join(' '),
    );
}
