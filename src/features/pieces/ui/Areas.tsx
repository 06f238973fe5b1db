'use client';
import DeleteOutline from '@mui/icons-material/DeleteOutlined';
import Autocomplete from '@mui/material/Autocomplete';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Area } from '@/core/coats';
import { AREA_WORDS, reachMm, type Side } from '@/core/vocabulary';
import { QuantityField, SelectField } from '@/ui/kit';
import { isLeftFree, leftFree, withArea, withAreaAt, withoutArea } from '../model/areas';
import { BLANK, fractionOf, sidesFor } from '../model/draft';
import type { PieceEditorState } from './usePieceEditor';
import css from './pieces.module.css';

type Props = Pick<PieceEditorState, 'draft' | 'change' | 'errorOf'>;

/** Named parts beside the bands: a logo left free, a handle, fins. */
export function Areas({ draft, change, errorOf }: Props) {
  // Typed words are taken on Enter or on leaving, and the field is empty again.
  const [typed, setTyped] = useState('');
  const add = (name: string) => {
    change((before) => withArea(before, name));
    setTyped('');
  };
  const words = Object.keys(AREA_WORDS).filter((word) => !draft.areas.some(({ name }) => name === word));
  return (
    <div className={css.areas} role="group" aria-label="Areas">
      {draft.areas.map((area, i) => (
        <AreaFields key={area.name} {...{ area, draft, change, errorOf }} index={i} />
      ))}
      <Autocomplete
        freeSolo
        size="small"
        value={null}
        options={words}
        inputValue={typed}
        onInputChange={(_, text, why) => setTyped(why === 'reset' ? '' : text)}
        onChange={(_, name) => name && add(name)}
        onBlur={() => typed.trim() && add(typed)}
        renderInput={(params) => (
          <TextField {...params} label="Add an area" placeholder="logo, handle, your own word" />
        )}
      />
    </div>
  );
}

const OWN_PART = 'own part';

function AreaFields({ area, draft, change, errorOf, index }: Props & { area: Area; index: number }) {
  const { name, side } = area;
  const reach = reachMm(draft);
  const isFree = isLeftFree(draft, area);
  const put = (at: Partial<Pick<Area, 'side' | 'from' | 'to'>>) =>
    change((before) => withAreaAt(before, name, at));
  return (
    <div className={css.area} role="group" aria-label={`Area ${name}`}>
      <b>{name}</b>
      <IconButton
        size="small"
        aria-label={`Remove area ${name}`}
        onClick={() => change((before) => withoutArea(before, name))}
      >
        <DeleteOutline fontSize="small" />
      </IconButton>
      <SelectField<Side | typeof OWN_PART>
        label="Where"
        value={side ?? OWN_PART}
        onChange={(next) => put({ side: next === OWN_PART ? null : next })}
        options={[...sidesFor(draft).map((one) => [one, one] as const), [OWN_PART, 'a part of its own']]}
      />
      {side !== null &&
        (['from', 'to'] as const).map((edge) => (
          <QuantityField
            key={edge}
            dimension="length"
            label={edge === 'from' ? 'From' : 'To'}
            value={area[edge] === BLANK ? null : Number((area[edge] * reach).toFixed(3))}
            onChange={(mm) => put({ [edge]: fractionOf(mm, draft) })}
            error={errorOf(`areas.${index}.${edge}`)}
          />
        ))}
      {isFree !== null && (
        <FormControlLabel
          className={css.wide}
          label="Left free of its side’s coats"
          control={
            <Checkbox
              size="small"
              checked={isFree}
              onChange={(event) => change((before) => leftFree(before, area, event.target.checked))}
            />
          }
        />
      )}
    </div>
  );
}
