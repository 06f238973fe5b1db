'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import ColorizeOutlined from '@mui/icons-material/ColorizeOutlined';
import DarkModeOutlined from '@mui/icons-material/DarkModeOutlined';
import LightModeOutlined from '@mui/icons-material/LightModeOutlined';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useColorScheme } from '@mui/material/styles';
import { ForRole } from '@/ui/ForRole';
import { ScanButton } from '@/ui/scan';
import { pieceOrWords, type FindPiece } from './findPiece';
import { useGuideWords } from './GuideWords';
import { HELP } from './Keys';
import { LookUp } from './LookUp';
import css from './frame.module.css';

/** The line at the top of every page: guide words, look-up, kilns, theme, member. */
export function RunningHead({
  member,
  kilns,
  signOut,
  findPiece,
}: {
  member: { name: string; role: string; isByPin: boolean };
  kilns: ReactNode;
  signOut: () => Promise<void>;
  findPiece: FindPiece;
}) {
  const router = useRouter();
  const words = useGuideWords();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <header className={css.head}>
      <div className={css.guide} aria-hidden>
        {words?.first ?? 'Jiten'}
        {words?.last && words.last !== words.first && (
          <>
            <em>to</em>
            {words.last}
          </>
        )}
      </div>
      <LookUp />
      <ForRole least="student">
        <ScanButton
          className={css.tool}
          onNumber={async (number) => {
            const piece = await pieceOrWords(findPiece, number);
            if (typeof piece === 'string') return piece;
            router.push(`/pieces/${piece.label}`);
            return null;
          }}
        />
      </ForRole>
      <Link href="/find?own=1" className={css.tool} aria-label="Find by colour" title="Find by colour (g f)">
        <ColorizeOutlined fontSize="small" />
      </Link>
      <div className={css.kilns}>{kilns}</div>
      <div className={css.tools}>
        <ThemeSwitch />
        <button
          type="button"
          className={css.tool}
          onClick={(event) => setAnchor(event.currentTarget)}
          aria-haspopup="menu"
        >
          {member.name.split(' ')[0]}
        </button>
      </div>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        <MenuItem disabled sx={{ '&.Mui-disabled': { opacity: 1 } }}>
          {member.name}, {member.role}
        </MenuItem>
        {!member.isByPin && (member.role === 'technician' || member.role === 'teacher') && (
          <MenuItem component={Link} href="/people" onClick={() => setAnchor(null)}>
            People
          </MenuItem>
        )}
        {!member.isByPin && (member.role === 'technician' || member.role === 'teacher') && (
          <MenuItem component={Link} href="/changes" onClick={() => setAnchor(null)}>
            Changes
          </MenuItem>
        )}
        {!member.isByPin && member.role === 'technician' && (
          <MenuItem component={Link} href="/studio" onClick={() => setAnchor(null)}>
            Studio
          </MenuItem>
        )}
        {!member.isByPin && (
          <MenuItem component={Link} href="/account" onClick={() => setAnchor(null)}>
            Account
          </MenuItem>
        )}
        <MenuItem
          onClick={() => {
            setAnchor(null);
            window.dispatchEvent(new Event(HELP));
          }}
        >
          Help
        </MenuItem>
        <MenuItem onClick={() => void signOut()}>
          {member.isByPin ? 'Back to the names' : 'Sign out'}
        </MenuItem>
      </Menu>
    </header>
  );
}

function ThemeSwitch() {
  const { mode, systemMode, setMode } = useColorScheme();
  const dark = (mode === 'system' ? systemMode : mode) === 'dark';
  return (
    <button
      type="button"
      className={css.tool}
      onClick={() => setMode(dark ? 'light' : 'dark')}
      aria-label={dark ? 'Light theme' : 'Kiln-room theme (dark)'}
      title={dark ? 'Light theme' : 'Kiln-room theme (dark)'}
    >
      {dark ? <LightModeOutlined fontSize="small" /> : <DarkModeOutlined fontSize="small" />}
    </button>
  );
}
