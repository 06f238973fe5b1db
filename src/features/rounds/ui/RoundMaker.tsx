'use client';
import { useSaveKey } from '@/ui/useSaveKey';
import { ROUND_KINDS } from '@/core/vocabulary';
import { GuideWords } from '@/ui/frame';
import { RadioCards } from '@/ui/kit';
import { KINDS } from '../model/setup';
import css from './rounds.module.css';
import { RoundTray } from './RoundTray';
import { Stays } from './Stays';
import { useRoundMaker, type RoundMakerOptions } from './useRoundMaker';
import { Varies } from './Varies';

interface Props extends RoundMakerOptions {
  readonly kilns: readonly { readonly name: string; readonly litres: number; readonly shelves: number }[];
}

/** A round in one page, left to right: the question, what varies, what stays, and the tray as it will stand. */
export function RoundMaker({ kilns, ...options }: Props) {
  const { glazes, bodies, ownForms } = options;
  const state = useRoundMaker(options);
  const { setup, change, save, places } = state;
  useSaveKey(() => void save());
  return (
    <>
      <GuideWords first="New round" />
      <h1>What do you want to know?</h1>
      <div className={css.maker}>
        <RadioCards
          label="Question"
          options={ROUND_KINDS}
          value={setup.kind}
          onChange={(kind) => change({ kind, out: [], taken: [] })}
          groupClassName={css.kinds}
          className={css.kind}
          card={(kind) => KINDS[kind]}
        />
        <Varies {...{ setup, change, glazes, bodies, places }} />
        <Stays {...state} {...{ bodies, ownForms }} />
        <RoundTray of={state} {...{ glazes, bodies, kilns }} />
      </div>
    </>
  );
}
