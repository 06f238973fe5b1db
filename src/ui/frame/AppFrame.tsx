import type { ReactNode } from 'react';
import { Bench } from './Bench';
import { BenchProvider } from './BenchContext';
import { GuideWordsProvider } from './GuideWords';
import { RegisterServiceWorker } from './RegisterServiceWorker';
import { Keys } from './Keys';
import { MemberProvider } from '../MemberContext';
import type { Role } from '@/core/vocabulary';
import type { Units } from '@/core/units';
import type { Hints, StudioSettings } from '@/records/people';
import { StudioProvider } from '../StudioContext';
import { UnitsProvider, type SaveUnits } from '../units';
import type { FindPiece } from './findPiece';
import { FirstHint, type TellHints } from './FirstHint';
import { StorageNotice } from './StorageNotice';
import { QuietReturn } from './QuietReturn';
import { RunningHead } from './RunningHead';
import { ThumbIndex } from './ThumbIndex';
import css from './frame.module.css';

interface FrameProps {
  readonly member: {
    readonly id: string;
    readonly name: string;
    readonly role: Role;
    readonly isByPin: boolean;
  };
  readonly kilns: ReactNode;
  readonly studio: StudioSettings;
  /** Whether this is a device of the studio, to which others come. */
  readonly isOnDevice: boolean;
  readonly units: Units;
  readonly saveUnits: SaveUnits;
  readonly hints: Hints;
  readonly tellHints: TellHints;
  readonly findPiece: FindPiece;
  readonly signOut: () => Promise<void>;
  readonly children: ReactNode;
}

/** The frame of every page: running head, thumb index, bench. */
export function AppFrame({
  member,
  kilns,
  studio,
  isOnDevice,
  units,
  saveUnits,
  hints,
  tellHints,
  findPiece,
  signOut,
  children,
}: FrameProps) {
  return (
    <StudioProvider studio={studio}>
      <MemberProvider member={member}>
        <UnitsProvider units={units} save={saveUnits}>
          <BenchProvider>
            <GuideWordsProvider>
              <div className={css.frame}>
                <RunningHead {...{ member, kilns, signOut, findPiece }} />
                {isOnDevice && <QuietReturn leave={signOut} />}
                <main className={css.page}>
                  <StorageNotice />
                  <FirstHint hints={hints} tell={tellHints} />
                  {children}
                </main>
                <ThumbIndex />
                <Bench findPiece={findPiece} />
                <Keys />
                <RegisterServiceWorker />
              </div>
            </GuideWordsProvider>
          </BenchProvider>
        </UnitsProvider>
      </MemberProvider>
    </StudioProvider>
  );
}
