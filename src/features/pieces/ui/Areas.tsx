'use client';
import DeleteOutline from '@mui/icons-material/DeleteOutlined';
import Autocomplete from '@mui/material/Autocomplete';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { WrittenArea } from '@/core/coats';
import { AREA_WORDS, reachMm, sideWord, TEXTURES, type Side } from '@/core/vocabulary';
import { NumberField, QuantityField, SelectField, SeveralField, TickField } from '@/ui/kit';
import { isLeftFree, leftFree, withArea, withAreaAt, withoutArea } from '../model/areas';
import { BLANK, fractionOf, sidesFor, type BodyChoice } from '../model/draft';
import type { PieceEditorState } from './usePieceEditor';
import css from './pieces.module.css';

interface Props extends Pick<PieceEditorState, 'draft' | 'change' | 'errorOf' | 'setOutlining'> {
  readonly bodies: readonly BodyChoice[];
}

/** Named parts beside the bands: a logo left free, a handle, fins. */
export function Areas(props: Props) {
  const { draft, change } = props;
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
        <AreaFields key={area.name} {...props} area={area} index={i} />
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

function AreaFields(props: Props & { readonly area: WrittenArea; readonly index: number }) {
  const { area, draft, change, errorOf, setOutlining, bodies, index } = props;
  const { name, side } = area;
  const reach = reachMm(draft);
  const isFree = isLeftFree(draft, area);
  const hasMore = area.share !== null || area.bodyId !== null || area.texture.length > 0;
  const put = (at: Partial<Omit<WrittenArea, 'name'>>) => change((before) => withAreaAt(before, name, at));
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
        options={[
          ...sidesFor(draft).map((one) => [one, sideWord(draft.form, one)] as const),
          [OWN_PART, 'a part of its own'],
        ]}
      />
      {side !== null &&
        area.outline === null &&
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
      <p className={`${css.wide} ${css.more}`}>
        {side !== null && (
          <button type="button" className={css.link} onClick={() => setOutlining(name)}>
            {area.outline ? 'Draw it again' : 'Draw it on the piece'}
          </button>
        )}
        {area.outline && (
          <button type="button" className={css.link} onClick={() => put({ outline: null })}>
            Remove the drawing
          </button>
        )}
      </p>
      {isFree !== null && (
        <TickField
          className={css.wide}
          label="Left free of its side’s coats"
          checked={isFree}
          onChange={(next) => change((before) => leftFree(before, area, next))}
        />
      )}
      <details className={css.details} open={hasMore || undefined}>
        <summary>Size, clay, texture</summary>
        {area.outline === null && (
          <NumberField
            label={side === null ? 'Size, about % of the outside' : 'Size, about % of its band'}
            value={area.share === null ? null : Number((area.share * 100).toFixed(1))}
            onChange={(percent) => put({ share: percent === null ? null : percent / 100 })}
            error={errorOf(`areas.${index}.share`)}
          />
        )}
        <SelectField
          label="Clay"
          value={area.bodyId ?? ''}
          onChange={(bodyId) => put({ bodyId: bodyId || null })}
          options={[['', 'as the piece'], ...bodies.map(({ id, name: clay }) => [id, clay] as const)]}
        />
        <SeveralField
          label="Texture"
          className={css.wide}
          value={area.texture}
          onChange={(texture) => put({ texture })}
          options={TEXTURES}
        />
      </details>
    </div>
  );
}
