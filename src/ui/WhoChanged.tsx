'use client';
import { LinkButton } from './LinkButton';
import { useRole } from './MemberContext';

/** The way from a record to who changed it, for those who see the changes. */
export function WhoChanged({ id }: { id: string }) {
  const role = useRole();
  if (role !== 'technician' && role !== 'teacher') return null;
  return (
    <LinkButton size="small" className="no-print" href={`/changes?id=${id}`}>
      Who changed what
    </LinkButton>
  );
}
