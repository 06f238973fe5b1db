'use client';
import { Fold } from '@/ui/Fold';
import { capital } from '@/core/units';
import { heatName } from '@/core/vocabulary';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import Link from 'next/link';
import { useState } from 'react';
import type { NamedWall } from '@/records/dictionary';
import { wallSearch } from '../model/choose';
import { WALL_SWITCH_WORDS, WALL_SWITCHES } from '../model/wallSwitch';
import { SelectField, ToggleRow } from '@/ui/kit';
import { NameWall } from './NameWall';
import { ORDERS, type Order } from '../model/order';
import css from './wall.module.css';
import type { WallSwitchState } from './useWallSwitch';
import type { BlankWall } from '../server/wallOf';
import { stepped } from '../model/zoom';

interface Props {
  readonly wall: BlankWall;
  readonly walls: readonly NamedWall[];
  readonly onGo: (changes: Readonly<Record<string, string>>) => void;
  readonly zoom: number;
  readonly onZoom: (zoom: number) => void;
  readonly onWhole: () => void;
  readonly flick: WallSwitchState;
  readonly mayShare: boolean;
}

const ORDER_WORDS: Readonly<Record<Order, string>> = {
  own: 'the studio’s own',
  name: 'name',
  colour: 'colour',
  movement: 'movement',
  likeness: 'likeness',
};

/** What the wall shows and how: one line of the usual, the rest one click away. */
export function WallTools({ wall, walls, onGo, zoom, onZoom, onWhole, flick, mayShare }: Props) {
  const { choice, order, settings, grounds, thirds } = wall;
  const kept = wallSearch(wall);
  const others = settings.filter(
    ({ cone, atmosphere }) => cone !== choice.cone || atmosphere !== choice.atmosphere,
  );
  const [isOpen, setIsOpen] = useState(false);
  return (
    <div className={css.bar}>
      <span className={css.senses}>
        <ToggleRow
          label="Cone and atmosphere"
          size="small"
          options={settings.map(
            ({ cone, atmosphere }) =>
              [`${cone} ${atmosphere}`, `${capital(heatName(cone))} ${atmosphere}`] as const,
          )}
          value={`${choice.cone} ${choice.atmosphere}`}
          onChange={(value) => {
            const [cone, atmosphere] = value.split(' ') as [string, string];
            onGo({ cone, atmosphere });
          }}
        />
      </span>
      <Button className={css.unfold} variant="text" aria-expanded={isOpen} onClick={() => setIsOpen(!isOpen)}>
        {isOpen ? 'Fewer tools' : 'Tools'}
      </Button>
      <div className={css.rest} data-open={isOpen || undefined}>
        <span className={css.zoom} role="group" aria-label="Zoom">
          <button type="button" onClick={() => onZoom(stepped(zoom, -1))} aria-label="Smaller (−)">
            −
          </button>
          <button type="button" onClick={onWhole}>
            Whole
          </button>
          <button type="button" onClick={() => onZoom(stepped(zoom, 1))} aria-label="Larger (+)">
            +
          </button>
        </span>
        <span className={css.flick}>
          <ToggleButton
            size="small"
            value="flick"
            selected={flick.on}
            onChange={flick.turn}
            title="Switch there and back (f)"
          >
            Switch to
          </ToggleButton>
          <SelectField
            label="What to switch to"
            isLabelHidden
            value={flick.to}
            onChange={flick.setTo}
            options={[
              ...WALL_SWITCHES.map((one) => [one, WALL_SWITCH_WORDS[one]] as const),
              ...others.map(
                ({ cone, atmosphere }) =>
                  [
                    wallSearch({ ...wall, choice: { ...choice, cone, atmosphere } }),
                    `${heatName(cone)} ${atmosphere}`,
                  ] as const,
              ),
            ]}
          />
        </span>
        <Fold
          className={css.more}
          title={
            <>
              {order === 'own' ? '' : `By ${ORDER_WORDS[order]}. `}
              {choice.third ? `With ${thirds.find(({ id }) => id === choice.third)?.name} over both. ` : ''}
              Grounds, order, names
            </>
          }
        >
          <div className={css.fields}>
            {(['left', 'right'] as const).map((side, i) => (
              <SelectField
                key={side}
                label={side === 'left' ? 'Left half on' : 'Right half on'}
                value={choice.grounds[i] ?? null}
                onChange={(ground) => onGo({ [side]: ground })}
                options={grounds.map((ground) => [ground.id, ground.name] as const)}
              />
            ))}
            <SelectField
              label="In order of"
              value={order}
              onChange={(next) => onGo({ order: next })}
              options={ORDERS.map((one) => [one, ORDER_WORDS[one]] as const)}
            />
            <SelectField
              label="A third glaze over both"
              value={choice.third ?? ''}
              onChange={(third) => onGo({ third })}
              options={[['', 'none'], ...thirds.map(({ id, name }) => [id, name] as const)]}
            />
            <NameWall walls={walls} search={kept} mayName={mayShare} />
          </div>
        </Fold>
        <span className={css.ends}>
          <Link href={`/wall/print?${kept}`}>Print</Link>
          {mayShare && <Link href={`/wall/links?${kept}`}>Share</Link>}
        </span>
      </div>
    </div>
  );
}
