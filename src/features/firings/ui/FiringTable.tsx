import Link from 'next/link';
import { coneIndex, hitTarget, sayCone } from '@/core/firing';
import type { Firing } from '@/records/firings';
import { shortDay } from '@/ui/dates';
import { Flame } from '@/ui/Flame';
import { LinkButton } from '@/ui/LinkButton';
import css from './firings.module.css';

/** Firings of one kiln in the order given. */
export function FiringTable({ firings }: { firings: readonly Firing[] }) {
  return (
    <div className={css.scroll}>
      <table className={css.table}>
        <thead>
          <tr>
            <th>Firing</th>
            <th>Day</th>
            <th>Kind</th>
            <th>Cone</th>
            <th>Reached</th>
            <th>Atmosphere</th>
            <th className={css.right}>Pieces</th>
            <th>State</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {firings.map((firing) => (
            <tr key={firing.id}>
              <td>
                <Link href={`/firings/${firing.id}`}>
                  <b className="figures">{firing.number}</b>
                </Link>
              </td>
              <td>{shortDay(firing.plannedOn)}</td>
              <td>{firing.kind}</td>
              <td className="figures">{firing.cone}</td>
              <td>{reached(firing)}</td>
              <td>
                <Flame atmosphere={firing.atmosphere} />
              </td>
              <td className={`figures ${css.right}`}>{firing.pieces}</td>
              <td className={firing.state === 'firing' || firing.state === 'cooling' ? 'heat' : undefined}>
                {firing.state}
              </td>
              <td className={css.right}>
                {(firing.state === 'cooling' || firing.state === 'open') && (
                  <LinkButton size="small" href={`/firings/${firing.id}/opening`}>
                    Open
                  </LinkButton>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** The cone reached, and how far it is from the target where that is more than half a cone. */
function reached({ achievedCone, cone }: Firing): string {
  if (achievedCone === null) return '';
  if (hitTarget(cone, achievedCone)) return sayCone(achievedCone);
  const off = achievedCone - coneIndex(cone)!;
  return `${sayCone(achievedCone)}, ${Math.abs(off).toFixed(1)} too ${off > 0 ? 'high' : 'low'}`;
}
