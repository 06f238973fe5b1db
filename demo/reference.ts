import {
  addRequest,
  addCorrection,
  saveTeacherNote,
  keepWall,
  type RequestDraft,
} from '@/records/dictionary';
import { newId, type Db } from '@/records/platform';
import type { Studio } from './studio';

/** The best proved entry of a headword. */
async function entryOf(base: Db, headword: string): Promise<string | undefined> {
  const row = await base('entry as e')
    .join('headword as h', 'h.id', 'e.headword_id')
    .where('h.text', headword)
    .orderBy('e.proofs', 'desc')
    .first('e.id');
  return row?.id;
}

/** Walls with names, what the teacher says of entries, and what members asked for. */
export async function keepReference(base: Db, { members, glazes }: Studio): Promise<void> {
  const [technician, teacher, student, other] = members as [string, string, string, string];
  await keepWall(base, technician, {
    id: newId(),
    name: 'Cone 6 electric',
    search: 'cone=6&atmosphere=oxidation',
  });
  await keepWall(base, technician, {
    id: newId(),
    name: 'Gas, reduction',
    search: 'cone=10&atmosphere=reduction',
  });
  const limewash = await entryOf(base, 'Limewash over Sleeper');
  if (limewash)
    await saveTeacherNote(base, teacher, {
      entryId: limewash,
      text: 'The one to begin with: shows every edge, forgives a slow hand. Show it beside the other order.',
      version: 1,
    });
  const green = await entryOf(base, 'Guard Green');
  if (green)
    await addCorrection(base, student, {
      id: newId(),
      entryId: green,
      text: 'My tile here had been sponged before it was dipped.',
    });
  const wish = (memberId: string, top: string, below: string, more: Partial<RequestDraft>) =>
    addRequest(base, memberId, {
      ...{ id: newId(), topId: glazes.get(top)!, baseId: glazes.get(below)!, note: '' },
      ...{ groundId: null, cone: null, atmosphere: null, baseTimes: null, topTimes: null },
      ...more,
    });
  const reduction = { cone: '10', atmosphere: 'reduction', note: 'for a set of bowls' } as const;
  await wish(student, 'Kettle Blue', 'Slate Bank', reduction);
  await wish(other, 'Lamp Clear', 'Rust Yard', {});
}
