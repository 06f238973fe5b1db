import type { ReactNode } from 'react';
import { Bench } from './Bench';
import { BenchProvider } from './BenchContext';
import { GuideWordsProvider } from './GuideWords';
import { RegisterServiceWorker } from './RegisterServiceWorker';
import { Keys } from './Keys';
import { MemberProvider } from '../MemberContext';
import type { Units } from '@/core/units';
import { UnitsProvider, type SaveUnits } from '../units';
import { StorageNotice } from './StorageNotice';
import { RunningHead } from './RunningHead';
import { ThumbIndex } from './ThumbIndex';
import css from './frame.module.css';

interface FrameProps {
  readonly member: { readonly id: string; readonly name: string; readonly role: string };
  readonly kilns: ReactNode;
  readonly units: Units;
  readonly saveUnits: SaveUnits;
  readonly signOut: () => Promise<void>;
  readonly children: ReactNode;
}

/** The frame of every page: running head, thumb index, bench. */
export function AppFrame({ member, kilns, units, saveUnits, signOut, children }: FrameProps) {
  return (
    <MemberProvider memberId={member.id}>
      <UnitsProvider units={units} save={saveUnits}>
        <BenchProvider>
          <GuideWordsProvider>
            <div className={css.frame}>
              <RunningHead member={member} kilns={kilns} signOut={signOut} />
              <main className={css.page}>
                <StorageNotice />
                {children}
              </main>
              <ThumbIndex />
              <Bench />
              <Keys />
              <RegisterServiceWorker />
            </div>
          </GuideWordsProvider>
        </BenchProvider>
      </UnitsProvider>
    </MemberProvider>
  );
}
