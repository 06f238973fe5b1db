import type { Firing } from '@/records/firings';
import { GuideWords } from '@/ui/frame';
import { LinkButton } from '@/ui/LinkButton';

/** An opening in which a student has nothing to record. */
export function NothingOfYours({ firing }: { firing: Firing }) {
  const name = `${firing.kilnName} ${firing.number}`;
  return (
    <div style={{ maxWidth: 480, display: 'grid', gap: 16 }}>
      <GuideWords first={name} />
      <h1>{name}</h1>
      <p>
        Nothing of yours is left to record here. To record the whole opening, ask a teacher to assign it to
        you.
      </p>
      <LinkButton href={`/firings/${firing.id}/summary`}>What came out</LinkButton>
    </div>
  );
}
