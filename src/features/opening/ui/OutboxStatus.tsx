'use client';
import CloudDone from '@mui/icons-material/CloudDone';
import CloudOff from '@mui/icons-material/CloudOff';
import CloudUpload from '@mui/icons-material/CloudUpload';
import type { OutboxItem } from '../model/outbox/deviceStore';
import type { Connection } from '../model/outbox/sender';
import css from './opening.module.css';

const ASK_FIRST = {
  'signed out': 'sign in again in another tab',
  'other member': 'somebody else is signed in on this device; sign in as yourself to send them',
};

/** The quiet mark that says what the server does not have yet. */
export function OutboxStatus({
  waiting,
  arriving,
  connection,
}: {
  waiting: readonly OutboxItem[];
  /** Writes that are only just being put behind those that wait. */
  arriving: number;
  connection: Connection;
}) {
  const stuck = waiting.filter(({ rejection: trouble }) => trouble).length;
  const moving = waiting.length - stuck + arriving;
  const words =
    connection in ASK_FIRST
      ? `${moving} kept here: ${ASK_FIRST[connection as keyof typeof ASK_FIRST]}`
      : moving === 0
        ? connection === 'down'
          ? 'no network'
          : 'all sent'
        : `${moving} kept here${connection === 'down' ? ', no network' : ''}`;
  const Mark = connection === 'down' ? CloudOff : moving ? CloudUpload : CloudDone;
  return (
    <span className={css.safe} role="status" data-open={moving > 0 || connection !== 'up' || undefined}>
      <Mark fontSize="small" aria-hidden />
      <span>
        {words}
        {stuck > 0 && <b className="heat">; {stuck} to decide</b>}
      </span>
    </span>
  );
}
