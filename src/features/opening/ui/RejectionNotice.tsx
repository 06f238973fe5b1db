'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import type { OpeningPiece } from '@/records/openings';
import { BothValues } from '@/ui/kit';
import type { OtherReading } from '../model/draft';
import type { OutboxItem } from '../model/outbox/deviceStore';

interface Props {
  readonly stuck: OutboxItem;
  readonly piece: OpeningPiece | undefined;
  readonly onDecide: (mine: boolean) => void;
}

/** A write that was not accepted: both values where somebody else was first, the reason where it was refused. */
export function RejectionNotice({ stuck, piece, onDecide }: Props) {
  const { errors: errors, theirs } = stuck.rejection!;
  const rows = theirs ? differences(stuck, theirs, piece) : [];
  return (
    <Alert severity="warning" variant="outlined" sx={{ mb: 1 }}>
      {theirs ? (
        <>
          <p>
            <b>{piece?.label ?? 'A piece'} was read on another device too.</b> Nothing of either is lost.
          </p>
          <BothValues rows={rows} mine="here" theirs="there" />
          <Button onClick={() => onDecide(true)} sx={{ mr: 1, mt: 1 }}>
            Take mine
          </Button>
          <Button onClick={() => onDecide(false)} sx={{ mt: 1 }}>
            Take theirs
          </Button>
        </>
      ) : (
        <>
          <p>
            <b>{nameOf(stuck, piece)} was not accepted:</b>{' '}
            {errors
              .map((error) =>
                stuck.write.kind === 'join'
                  ? error.message
                  : `${error.field && `${error.field}: `}${error.message}`,
              )
              .join(' ')}
          </p>
          <Button onClick={() => onDecide(false)} sx={{ mt: 1 }}>
            {stuck.write.kind === 'photo' ? 'Discard the photo' : 'Discard it'}
          </Button>
        </>
      )}
    </Alert>
  );
}

const nameOf = ({ write }: OutboxItem, piece: OpeningPiece | undefined) =>
  write.kind === 'join' ? `Number ${write.join.number}` : (piece?.label ?? 'A note of this opening');

/** What was read here beside what was read elsewhere, where they differ. */
function differences({ write }: OutboxItem, theirs: OtherReading, piece: OpeningPiece | undefined) {
  if (write.kind !== 'piece') return [];
  const word = (value: string | null | undefined) => value || 'not noted';
  const defects = (list: readonly { readonly defect: string }[] = []) =>
    list.map((one) => one.defect).join(', ') || 'none';
  const zones = (theirs.readings ?? []).flatMap((other) => {
    const mine = write.reading.readings.find((reading) => reading.zoneId === other.zoneId);
    const name = piece?.zones.find(({ id }) => id === other.zoneId)?.headword ?? 'Zone';
    return [
      { name: `${name}: surface`, mine: word(mine?.surface), theirs: word(other.surface) },
      { name: `${name}: movement`, mine: word(mine?.movement), theirs: word(other.movement) },
      { name: `${name}: defects`, mine: defects(mine?.defects), theirs: defects(other.defects) },
      { name: `${name}: note`, mine: word(mine?.note), theirs: word(other.note) },
    ];
  });
  const fate = { name: 'Fate', mine: word(write.reading.fate), theirs: word(theirs.fate) };
  return [...zones, ...(theirs.fate === undefined ? [] : [fate])].filter((row) => row.mine !== row.theirs);
}
