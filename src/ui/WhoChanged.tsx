import { LinkButton } from './LinkButton';
import { ForRole } from './ForRole';

/** The way from a record to who changed it, for teachers and for whose it is. */
export function WhoChanged({ id, isOwn = false }: { id: string; isOwn?: boolean }) {
  return (
    <ForRole least={isOwn ? 'student' : 'teacher'}>
      <LinkButton size="small" className="no-print" href={`/changes?id=${id}`}>
        Who changed what
      </LinkButton>
    </ForRole>
  );
}
