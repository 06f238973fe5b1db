'use client';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import IconButton from '@mui/material/IconButton';
import CloseOutlined from '@mui/icons-material/CloseOutlined';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import { usePathname } from 'next/navigation';
import { useState } from 'react';
import { tourOf } from './tours';
import { WORDS } from './words';
import css from './help.module.css';

/** A key, and what it does. */
export type Key = readonly [key: string, does: string];

interface Props {
  readonly onClose: () => void;
  readonly keys: readonly Key[];
}

const PARTS = ['This screen', 'Words', 'Keys'] as const;

/** Help: what the screen one is on is for, our own words with a picture each, and the keys. */
export function Help({ onClose, keys }: Props) {
  const [part, setPart] = useState<(typeof PARTS)[number]>('This screen');
  const tour = tourOf(usePathname());
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-label="Help">
      <div className={css.head}>
        <Tabs value={part} onChange={(_, next: (typeof PARTS)[number]) => setPart(next)}>
          {PARTS.map((name) => (
            <Tab key={name} value={name} label={name} />
          ))}
        </Tabs>
        <IconButton onClick={onClose} aria-label="Close help">
          <CloseOutlined />
        </IconButton>
      </div>
      <DialogContent>
        {part === 'This screen' && (
          <>
            <h2>{tour.title}</h2>
            <ol className={css.steps}>
              {tour.steps.map((step) => (
                <li key={step}>{step}</li>
              ))}
            </ol>
          </>
        )}
        {part === 'Words' && (
          <dl className={css.words}>
            {WORDS.map(({ word, means, picture }) => (
              <div key={word}>
                <span aria-hidden>{picture}</span>
                <dt>{word}</dt>
                <dd>{means}</dd>
              </div>
            ))}
          </dl>
        )}
        {part === 'Keys' && (
          <dl className={css.keys}>
            {keys.map(([key, does]) => (
              <div key={key}>
                <dt>
                  <kbd>{key}</kbd>
                </dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
        )}
      </DialogContent>
    </Dialog>
  );
}
