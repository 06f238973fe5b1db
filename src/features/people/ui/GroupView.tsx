'use client';
import { heatName } from '@/core/vocabulary';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState } from 'react';
import { shortDay, wordsOf } from '@/core/time';
import { FormErrors, PageHeader, SelectField, TwoColumns, Acts } from '@/ui/kit';
import { Flame } from '@/ui/Flame';
import { LinkButton } from '@/ui/LinkButton';
import { RefreshOnChange } from '@/ui/RefreshOnChange';
import { useMutation } from '@/ui/useMutation';
import { giveGroup } from '../actions';
import type { GroupLoad, GroupModel } from '../server/groupModel';
import css from './people.module.css';

/** A class: what of it waits for the kiln and until when, its pieces, rounds, walls, openings and people. */
export function GroupView(model: GroupModel) {
  const { group, mayChange, members, inKiln, loads, unsaid, isDayPast, pieces, pieceCount, openings } = model;
  return (
    <>
      <RefreshOnChange from="/api/v1/live" />
      <PageHeader first={group.name}>
        <h1>{group.name}</h1>
        <span className="quiet">
          {group.teacher}
          {group.endedAt && `, ended ${shortDay(group.endedAt)}`}
        </span>
        {mayChange && (
          <Acts>
            <LinkButton href={`/people?card=${group.id}`}>Change the group</LinkButton>
            <LinkButton href="/people?card=invite">Invite</LinkButton>
          </Acts>
        )}
      </PageHeader>
      <TwoColumns
        at="left"
        isMarginLast
        aside={
          <section aria-label="Members">
            <h2>Members</h2>
            <ul>
              {members.map((one) => (
                <li key={one.id} className={css.line}>
                  {one.name}
                  <span className="figures quiet">{one.pieces}</span>
                </li>
              ))}
            </ul>
            {members.length === 0 && <p>Nobody is in it yet.</p>}
          </section>
        }
      >
        <section aria-label="For the kiln" className={css.part}>
          <h2>For the kiln{group.dueOn && `, fired by ${shortDay(group.dueOn)}`}</h2>
          <ul>
            {inKiln.map((load) => (
              <Load key={load.firingId} load={load} dueOn={group.dueOn} />
            ))}
            {loads.map((load) => (
              <Load key={`${load.cone} ${load.atmosphere}`} load={load} dueOn={group.dueOn} isWaiting />
            ))}
            {unsaid > 0 && (
              <li className={css.line}>
                <b>{unsaid === 1 ? '1 piece' : `${unsaid} pieces`}</b>
                <span className={isDayPast ? 'heat' : 'quiet'}>
                  nobody has said at which cone
                  {isDayPast && group.dueOn && `: too late for ${shortDay(group.dueOn)}`}
                </span>
              </li>
            )}
          </ul>
          {inKiln.length + loads.length + unsaid === 0 && <p>Nothing of this group waits for a kiln.</p>}
        </section>
        <section aria-label="Pieces" className={`${css.section} ${css.part}`}>
          <h2>Pieces</h2>
          {pieceCount === 0 && <p>None yet.</p>}
          <ul className={css.labels}>
            {pieces.map((piece) => (
              <li key={piece.id}>
                <Link href={`/pieces/${piece.label}`} className="figures">
                  {piece.label}
                </Link>{' '}
                <span className="small quiet">
                  {piece.maker}, {piece.stage}
                </span>
              </li>
            ))}
          </ul>
          {pieceCount > pieces.length && (
            <Link href={`/pieces?group=${group.id}`}>All {pieceCount} pieces</Link>
          )}
        </section>
        <section aria-label="Openings" className={`${css.section} ${css.part}`}>
          <h2>What came out</h2>
          {openings.length === 0 && <p>No firing with a piece of this group is open yet.</p>}
          <ul>
            {openings.map((one) => (
              <li key={one.id} className={css.line}>
                <Link href={`/firings/${one.id}/summary?group=${group.id}`}>
                  {one.kiln} {one.number}
                </Link>
                <span className="quiet">
                  {one.kind}, {heatName(one.cone)}, <Flame atmosphere={one.atmosphere} />
                  {one.openedAt && `, ${shortDay(one.openedAt)}`}
                </span>
              </li>
            ))}
          </ul>
        </section>
        <Things
          {...{ group, mayChange }}
          title="Rounds"
          what="round"
          hint="None yet. A round that you lay out can be taken in here."
          own={model.rounds.map(({ id, number, name }) => ({
            id,
            name: `${number} ${name}`,
            href: `/rounds/${id}`,
          }))}
          free={model.freeRounds.map(({ id, number, name }) => ({ id, name: `${number} ${name}` }))}
        />
        <Things
          {...{ group, mayChange }}
          title="Walls"
          what="named_wall"
          hint="None yet. Name a wall on the wall page, and it can be taken in here."
          own={model.walls.map(({ id, name, search }) => ({ id, name, href: `/wall?${search}` }))}
          free={model.freeWalls}
        />
      </TwoColumns>
    </>
  );
}

function Load({ load, dueOn, isWaiting }: { load: GroupLoad; dueOn: string | null; isWaiting?: boolean }) {
  const { count, cone, atmosphere, kiln, firingId, opens, isLate } = load;
  return (
    <li className={css.line}>
      <span>
        <b>{count === 1 ? '1 piece' : `${count} pieces`}</b>, {heatName(cone)},{' '}
        <Flame atmosphere={atmosphere} />
      </span>
      <span className={isLate ? 'heat' : 'quiet'}>
        {firingId && kiln ? <Link href={`/firings/${firingId}`}>{kiln}</Link> : kiln}
        {opens
          ? `, ${isWaiting ? 'could be opened' : 'opens'} about ${wordsOf(opens, 'shortWeekday', 'short')}`
          : ' no time for it in the next four weeks'}
        {isLate && dueOn && `: too late for ${shortDay(dueOn)}`}
      </span>
    </li>
  );
}

interface Named {
  readonly id: string;
  readonly name: string;
}

/** Rounds or walls of the group; its teacher takes others in and gives them back. */
function Things({
  group,
  mayChange,
  title,
  what,
  hint,
  own,
  free,
}: Pick<GroupModel, 'group' | 'mayChange'> & {
  title: string;
  what: 'round' | 'named_wall';
  /** What to do first, when there is none to take in. */
  hint: string;
  own: readonly (Named & { readonly href: string })[];
  free: readonly Named[];
}) {
  const { run, isBusy, errors } = useMutation();
  const [chosen, setChosen] = useState('');
  const give = (id: string, isGiven: boolean) =>
    run(() => giveGroup({ what, id, groupId: group.id, isGiven })).then(() => setChosen(''));
  return (
    <section aria-label={title} className={`${css.section} ${css.part}`}>
      <h2>{title}</h2>
      {own.length === 0 && <p>{mayChange && free.length === 0 ? hint : 'None yet.'}</p>}
      <ul>
        {own.map((one) => (
          <li key={one.id} className={css.line}>
            <Link href={one.href}>{one.name}</Link>
            {mayChange && (
              <Button size="small" disabled={isBusy} onClick={() => void give(one.id, false)}>
                Not this group’s
              </Button>
            )}
          </li>
        ))}
      </ul>
      {free.length > 0 && (
        <SelectField
          label={what === 'round' ? 'Take in a round' : 'Take in a named wall'}
          className={css.choice}
          value={chosen}
          isDisabled={isBusy}
          onChange={(id) => {
            setChosen(id);
            void give(id, true);
          }}
          options={free.map(({ id, name }) => [id, name] as const)}
        />
      )}
      <FormErrors errors={errors} />
    </section>
  );
}
