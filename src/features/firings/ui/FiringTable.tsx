import { heatShort } from '@/core/vocabulary';
import { figures } from '@/core/units';
import Link from 'next/link';
import { coneIndex, hitTarget, sayCone } from '@/core/firing';
import type { Firing } from '@/records/firings';
import { shortDay } from '@/core/time';
import { Flame } from '@/ui/Flame';
import { DataTable, type TableColumn } from '@/ui/kit';
import { LinkButton } from '@/ui/LinkButton';

const COLUMNS: readonly TableColumn[] = [
  { name: 'Firing', isSortable: true },
  { name: 'Day', isSortable: true },
  { name: 'Kind', isSortable: true },
  { name: 'Cone', isSortable: true },
  { name: 'Reached', isSortable: true },
  { name: 'Atmosphere', isSortable: true },
  { name: 'Pieces', align: 'right', isSortable: true },
  { name: 'State', isSortable: true },
  { name: '' },
];

/** Firings of one kiln, in the order given until a heading is pressed. */
export function FiringTable({ firings }: { firings: readonly Firing[] }) {
  return (
    <DataTable
      label="Firings"
      columns={COLUMNS}
      rows={firings.map((firing) => ({
        key: firing.id,
        href: `/firings/${firing.id}`,
        cells: [
          <Link key="number" href={`/firings/${firing.id}`}>
            <b className="figures">{firing.number}</b>
          </Link>,
          shortDay(firing.plannedOn),
          firing.kind,
          <span key="cone" className="figures">
            {heatShort(firing.cone)}
          </span>,
          reached(firing),
          <Flame key="atmosphere" atmosphere={firing.atmosphere} />,
          firing.pieces,
          <span
            key="state"
            className={firing.state === 'firing' || firing.state === 'cooling' ? 'heat' : undefined}
          >
            {firing.state}
          </span>,
          (firing.state === 'cooling' || firing.state === 'open') && (
            <LinkButton key="open" size="small" href={`/firings/${firing.id}/opening`}>
              Open
            </LinkButton>
          ),
        ],
        values: [
          firing.number,
          firing.plannedOn,
          firing.kind,
          coneIndex(firing.cone) ?? firing.cone,
          firing.achievedCone,
          firing.atmosphere,
          firing.pieces,
          firing.state,
        ],
      }))}
    />
  );
}

/** The cone reached, and how far it is from the target where that is more than half a cone. */
function reached({ achievedCone, cone }: Firing): string {
  if (achievedCone === null) return '';
  if (hitTarget(cone, achievedCone)) return sayCone(achievedCone);
  const off = achievedCone - coneIndex(cone)!;
  return `${sayCone(achievedCone)}, ${figures(Math.abs(off), 1)} too ${off > 0 ? 'high' : 'low'}`;
}
