'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import type { TestRequest } from '@/records/dictionary';
import { shortDay } from '@/core/time';
import { useMutation } from '@/ui/useMutation';
import { withdrawTestRequest } from '@/features/dictionary';
import { plansOf } from '../model/plans';
import css from './today.module.css';

/** Combinations that were asked for: done ones lead to their entry, the rest wait; the own ones can be taken back. */
export function Requests({ requests, memberId }: { requests: readonly TestRequest[]; memberId: string }) {
  const { run, isBusy } = useMutation();
  if (requests.length === 0) return null;
  const waiting = requests.filter(({ headwordId }) => headwordId === null);
  const plans = plansOf(waiting);
  return (
    <section aria-label="Requested tests">
      <h2 className={css.heading}>Requested tests</h2>
      <ul>
        {requests.slice(0, 6).map((request) => (
          <li key={request.id} className={css.round}>
            {request.headwordId ? (
              <Link href={`/entry/${request.headwordId}`}>{request.words}</Link>
            ) : (
              request.words
            )}{' '}
            {request.headwordId && <b className="good">done</b>}
            {request.facts && <span>{request.facts} </span>}
            <span className="quiet small">
              {' '}
              {request.by}, {shortDay(request.at)}
            </span>
            {request.note && <span className="small"> {request.note}</span>}
            {request.result && <p className="small">{request.result}</p>}
            {request.memberId === memberId && (
              <Button
                size="small"
                variant="text"
                disabled={isBusy}
                onClick={() => void run(() => withdrawTestRequest({ id: request.id }))}
              >
                {request.headwordId ? 'Seen' : 'Withdraw request'}
              </Button>
            )}
          </li>
        ))}
      </ul>
      {plans.map(({ address, count, words }) => (
        <p key={address} className={css.plan}>
          <Link href={address}>
            Plan {count === 1 ? 'one test' : `${count} tests`}
            {words && `, ${words}`}
          </Link>
        </p>
      ))}
    </section>
  );
}
