'use client';
import Button from '@mui/material/Button';
import { ulid } from 'ulid';
import { shortDay } from '@/core/time';
import type { StudioDevice } from '@/records/people';
import { Form, FormErrors, TextInput, useSavedForm } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { makeDevice, removeDevice } from '../actions';
import { deviceSchema } from '../schema';
import css from './people.module.css';

interface Props {
  readonly devices: readonly StudioDevice[];
  /** The device in hand, when it is the studio's. */
  readonly deviceId: string | null;
}

/** The studio's own tablets, on which members sign in by name and PIN. */
export function Devices({ devices, deviceId }: Props) {
  const { run, isBusy, errors } = useMutation();
  return (
    <section aria-label="Shared tablets" className={`${css.section} ${css.studio}`}>
      <h2>Shared tablets</h2>
      <p>
        On a device of the studio members tap their name and type a PIN. There they log, glaze, load, read and
        photograph; managing needs the password. After three quiet minutes it goes back to the names.
      </p>
      <ul>
        {devices.map((device) => (
          <li key={device.id} className={css.line}>
            <span>
              <b>{device.name}</b>
              {device.id === deviceId && ', this one'}{' '}
              <span className="quiet">
                by {device.by}, {shortDay(device.at)}
              </span>
            </span>
            <Button
              size="small"
              disabled={isBusy}
              onClick={() => void run(() => removeDevice({ id: device.id }))}
            >
              No longer shared
            </Button>
          </li>
        ))}
      </ul>
      <FormErrors errors={errors} />
      {deviceId === null && <ShareThis />}
    </section>
  );
}

function ShareThis() {
  const form = useSavedForm({
    schema: deviceSchema,
    values: { id: ulid(), name: '' },
    save: makeDevice,
  });
  return (
    <Form of={form} label="Share this device" button="Share this device" className={css.share}>
      <TextInput control={form.control} name="name" label="Name, such as: tablet at the glazing table" />
    </Form>
  );
}
