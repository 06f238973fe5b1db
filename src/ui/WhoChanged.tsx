import { LinkButton } from './LinkButton';
import { ForRole } from './ForRole';

/** The way from a record to who changed it, for those who see the changes. */
export function WhoChanged({ id }: { id: string }) {
  return (
    <ForRole least="teacher">
      <LinkButton size="small" className="no-print" href={`/changes?id=${id}`}>
        Who changed what
      </LinkButton>
    </ForRole>
  );
}
