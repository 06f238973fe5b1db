import { notFound } from 'next/navigation';
import { requireMember } from '@/auth';
import {
  batchesOf,
  listBodies,
  fitEvidence,
  glazeSwatches,
  listGlazes,
  listAliases,
  listMaterials,
  recipesInUse,
  versionsOf,
} from '@/records/materials';
import { NextTime } from '@/features/reminders';
import { remindersOf } from '@/records/reminders';
import { db } from '@/records/platform';
import { headwordsOf, judgedGlaze } from '@/records/dictionary';
import { hasRole } from '@/records/people';
import { usualOf } from '@/records/pieces';
import { GlazeView } from '@/features/glazes/ui/GlazeView';

export const metadata = { title: 'Glaze' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const member = await requireMember('/glazes/[id]');
  const { id } = await params;
  const usual = await usualOf(db(), member.id);
  const base = db();
  const glaze = (await listGlazes(base, { tests: true })).find((one) => one.id === id);
  if (!glaze) notFound();
  const about = { about: 'glaze', aboutId: id } as const;
  const [
    swatches,
    versions,
    materials,
    aliases,
    bodies,
    { tiles, learned },
    recipes,
    batches,
    headwords,
    reminders,
    judged,
  ] = await Promise.all([
    glazeSwatches(base),
    versionsOf(base, id),
    listMaterials(base),
    listAliases(base),
    listBodies(base),
    fitEvidence(base),
    recipesInUse(base),
    batchesOf(base, id),
    headwordsOf(base, id, usual),
    remindersOf(base, [
      about,
      ...glaze.batches.map((batch) => ({ about: 'batch' as const, aboutId: batch.id })),
    ]),
    judgedGlaze(base, id),
  ]);
  return (
    <GlazeView
      glaze={glaze}
      swatch={swatches.get(id) ?? null}
      versions={versions}
      materials={materials}
      aliases={aliases}
      clays={bodies.map((body) => ({
        id: body.id,
        name: body.name,
        measured: body.expansion,
        calibration: learned.get(body.id) ?? null,
        tiles: tiles.filter((tile) => tile.bodyId === body.id),
      }))}
      others={recipes.filter((recipe) => recipe.glazeId !== id)}
      batches={batches}
      bucketNotes={reminders}
      headwords={headwords}
      judged={judged}
      nextTime={
        <NextTime
          reminders={reminders.filter((one) => one.about === 'glaze')}
          about={about}
          mayWrite={hasRole(member.role, 'student')}
        />
      }
      mayChange={hasRole(member.role, 'teacher')}
    />
  );
}
