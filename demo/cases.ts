import { addTry, changeCase, openCase, piecesWith } from '@/records/clinic';
import { newId, type Db } from '@/records/platform';
import { piecePage } from '@/records/pieces';
import { roundPage } from '@/records/rounds';
import { DAY, LADDER_BASE, type Studio } from './studio';

/** Days before today that the crazing on the porcelain was first taken up, and closed. */
const CRAZING = { opened: 135, closed: 108 };

/** The case that the ladder closed, and the one that the technician is in the middle of. */
export async function openCases(base: Db, studio: Studio): Promise<void> {
  const [technician, teacher] = studio.members as [string, string];
  const round = await base('round')
    .where({ name: `${LADDER_BASE} crazing ladder` })
    .first('id', 'name');
  if (!round) throw new Error('The demo has no ladder round.');
  const { cells } = await roundPage(base, round.id);
  const sound = cells.find(({ pieces }) => pieces.every(({ defects }) => defects.length === 0));
  const crazed = newId();
  const first = await base('piece as p')
    .join('body as b', 'b.id', 'p.body_id')
    .where({ 'b.name': 'Viaduct Porcelain', 'p.form': 'cup' })
    .orderBy('p.number')
    .first('p.id');
  await openCase(base, teacher, {
    id: crazed,
    defect: 'crazing',
    pieceId: first.id,
    subject: null,
    answers: 'boil.0,bodies.1',
  });
  await addTry(base, teacher, {
    id: newId(),
    caseId: crazed,
    act: 'A thinner liner',
    worked: 'no',
    roundId: null,
  });
  await addTry(base, teacher, {
    id: newId(),
    caseId: crazed,
    act: 'The ladder of silica and kaolin',
    worked: sound ? 'yes' : 'no',
    roundId: round.id,
  });
  const helped = sound ? sound.words : 'another glaze; the whole ladder did not reach a fit';
  await changeCase(base, teacher, {
    id: crazed,
    version: 1,
    closed: { cause: 'expansion-mismatch', causeWords: null, helped },
  });
  const ago = (days: number) => new Date(studio.now.getTime() - days * DAY);
  await base('clinic_case')
    .where({ id: crazed })
    .update({ opened_at: ago(CRAZING.opened), closed_at: ago(CRAZING.closed) });
  await base('case_try')
    .where({ case_id: crazed })
    .update({ at: ago(CRAZING.closed) });
  const [pitted] = await piecesWith(base, 'pitting');
  if (!pitted) return;
  const { id: pieceId } = await piecePage(base, pitted.label);
  await openCase(base, technician, { id: newId(), defect: 'pitting', pieceId, subject: null, answers: '' });
}
