'use client';
import Button from '@mui/material/Button';
import { LinkButton } from '@/ui/LinkButton';
import { RequestTest } from '@/features/dictionary';
import type { Atmosphere, Heat } from '@/core/vocabulary';
import { cellKey } from '../model/cells';

interface Named {
  readonly id: string;
  readonly name: string;
}

/** What can be done with a cell that nobody has tried: gather it for a round, or ask for it. */
export function EmptyCell({
  base,
  top,
  row,
  grounds,
  list,
  onList,
}: {
  base: Named;
  top: Named;
  /** The row of the wall that the cell is empty on. */
  row: { readonly groundId: string | null; readonly cone: Heat; readonly atmosphere: Atmosphere };
  grounds: readonly Named[];
  list: readonly string[];
  onList: (list: readonly string[]) => void;
}) {
  const key = cellKey(base.id, top.id);
  const isListed = list.includes(key);
  return (
    <>
      <p className="quiet">No tile yet on these grounds at this cone.</p>
      <Button
        variant={isListed ? 'outlined' : 'contained'}
        onClick={() => onList(isListed ? list.filter((one) => one !== key) : [...list, key])}
      >
        {isListed ? 'Take off the next round' : 'Add to next round'}
      </Button>
      {list.length > 0 && (
        <LinkButton
          href={`/rounds/new?kind=free&name=${encodeURIComponent('Gaps of the wall')}&pairs=${list.join(',')}`}
          onClick={() => onList([])}
        >
          Plan {list.length === 1 ? 'the one' : `the ${list.length}`} of the next round
        </LinkButton>
      )}
      <RequestTest key={key} baseId={base.id} topId={top.id} row={row} grounds={grounds} />
    </>
  );
}
