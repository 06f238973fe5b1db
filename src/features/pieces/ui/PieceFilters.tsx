'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { FATES, PIECE_STAGES, TEXTURES } from '@/core/vocabulary';
import { SelectField, WordField, type OptionWords } from '@/ui/kit';
import { setAll, useAddress } from '@/ui/useAddress';
import css from './pieces.module.css';

type Named = readonly { readonly id: string; readonly name: string }[];

/** What the list of pieces can be narrowed by. */
export interface FilterChoices {
  readonly bodies: Named;
  readonly glazes: Named;
  /** Open orders, to which pieces may be given. */
  readonly orders: Named;
  readonly rounds: Named;
  /** The newest firings. */
  readonly firings: Named;
  readonly groups: Named;
}

/** Filters that are asked for. */
const MORE = ['todo', 'firing', 'round', 'group', 'texture', 'from', 'to'];

/** All filters as they stand in the address. */
export const FILTERS = ['stage', 'fate', 'body', 'glaze', 'for', ...MORE];

/** Narrows the list of pieces; what is chosen stands in the address. */
export function PieceFilters({ bodies, glazes, orders, rounds, firings, groups }: FilterChoices) {
  const { params, change } = useAddress();
  const [isWide, setIsWide] = useState(MORE.some((key) => params.get(key)));
  const put = (key: string, value: string) => change((next) => setAll(next, { page: null, [key]: value }));
  const filter = (key: string, label: string, options: OptionWords<string>) => (
    <SelectField
      label={label}
      value={params.get(key) ?? ''}
      onChange={(value) => put(key, value)}
      options={[['', 'any'], ...options]}
      className={css.filter}
    />
  );
  const day = (key: string, label: string) => (
    <WordField
      label={label}
      type="date"
      value={params.get(key) ?? ''}
      onChange={(value) => put(key, value)}
      className={css.filter}
      slotProps={{ inputLabel: { shrink: true } }}
    />
  );
  const plain = (names: readonly string[]) => names.map((name) => [name, name] as const);
  const byId = (list: Named) => list.map(({ id, name }) => [id, name] as const);
  return (
    <div className={css.filters}>
      {filter('stage', 'Stage', plain(PIECE_STAGES))}
      {filter('fate', 'Fate', plain(FATES))}
      {filter('body', 'Clay', byId(bodies))}
      {filter('glaze', 'Glaze on it', byId(glazes))}
      {orders.length > 0 && filter('for', 'Order', byId(orders))}
      {isWide ? (
        <>
          {filter('firing', 'Firing', byId(firings))}
          {filter('round', 'Round', byId(rounds))}
          {groups.length > 0 && filter('group', 'Group', byId(groups))}
          {filter('texture', 'Texture', plain(TEXTURES))}
          {filter('todo', 'To do', [['write-up', 'to be written up']])}
          {day('from', 'Made from')}
          {day('to', 'Made until')}
        </>
      ) : (
        <Button variant="text" onClick={() => setIsWide(true)}>
          More filters
        </Button>
      )}
    </div>
  );
}
