'use client';
import CloudDone from '@mui/icons-material/CloudDone';
import CloudOff from '@mui/icons-material/CloudOff';
import CloudUpload from '@mui/icons-material/CloudUpload';
import type { Waiting } from '../model/keep/kept';
import type { Line } from '../model/keep/sender';
import css from './opening.module.css';

/** The quiet mark that says what the server does not have yet. */
export function NotSafe({ waiting, line }: { waiting: readonly Waiting[]; line: Line }) {
  const stuck = waiting.filter(({ trouble }) => trouble).length;
  const moving = waiting.length - stuck;
  const words =
    line === 'signed out'
      ? `${moving} kept here: sign in again in another tab`
      : moving === 0
        ? line === 'down'
          ? 'no network'
          : 'all sent'
        : `${moving} kept here${line === 'down' ? ', no network' : ''}`;
  const Mark = line === 'down' ? CloudOff : moving ? CloudUpload : CloudDone;
  return (
    <span className={css.safe} role="status" data-open={moving > 0 || line !== 'up' || undefined}>
      <Mark fontSize="small" aria-hidden />
      {words}
      {stuck > 0 && <b className="heat">; {stuck} to decide</b>}
    </span>
  );
}
