'use client';
import ArrowDownward from '@mui/icons-material/ArrowDownward';
import ContentCopy from '@mui/icons-material/ContentCopyOutlined';
import ArrowUpward from '@mui/icons-material/ArrowUpward';
import DeleteOutline from '@mui/icons-material/DeleteOutlined';
import IconButton from '@mui/material/IconButton';
import { layerWords, wayOf } from '@/core/coats';
import { sideWord } from '@/core/vocabulary';
import type { CoatDraft, PieceDraft } from '@/records/pieces';
import { coverWords } from '../model/cover';
import { onOtherSide, sidesFor, type FormChoice, type GlazeChoice } from '../model/draft';
import { CoatFields } from './CoatFields';
import { SortedItem, SortedList } from './SortedList';
import css from './pieces.module.css';

interface Props {
  readonly draft: PieceDraft;
  readonly glazes: readonly GlazeChoice[];
  /** Bands that are usual on the studio's own form. */
  readonly bands: FormChoice['bands'];
  readonly selected: number;
  readonly firingNames: ReadonlyMap<string, string>;
  readonly errorOf: (field: string) => string | undefined;
  readonly onSelect: (index: number) => void;
  readonly onChange: (index: number, change: Partial<CoatDraft>) => void;
  /** Puts a coat in a usual place, which may take another one with it. */
  readonly onPut: (put: (draft: PieceDraft) => PieceDraft) => void;
  /** Moves a coat to another place in the order. */
  readonly onMove: (from: number, to: number) => void;
  readonly onRemove: (index: number) => void;
}

/** The coats in the order they go on; the chosen one is open, the others are a line each. */
export function CoatList({
  draft,
  glazes,
  bands,
  selected,
  firingNames,
  errorOf,
  onSelect,
  onChange,
  onPut,
  onMove,
  onRemove,
}: Props) {
  const hasOtherSide = sidesFor(draft).length > 1;
  const ids = draft.coats.map((_, i) => `coat ${i + 1}`);
  const glazeOf = (id: string) => glazes.find((glaze) => glaze.id === id);
  return (
    <SortedList ids={ids} className={css.coats} onMove={onMove}>
      {draft.coats.map((coat, i) => {
        const glaze = glazeOf(coat.glazeId);
        const fields = [...Object.keys(coat), ...Object.keys(coat.cover ?? {}).map((key) => `cover.${key}`)];
        const error = fields.some((field) => errorOf(`coats.${i}.${field}`));
        return (
          <SortedItem
            className={css.coat}
            key={i}
            id={ids[i]!}
            isOpen={i === selected}
            isAlone={ids.length === 1}
          >
            {(handle) => (
              <>
                <div className={css.coatHead}>
                  {handle}
                  <button
                    type="button"
                    className={css.coatName}
                    onClick={() => onSelect(i)}
                    aria-expanded={i === selected}
                  >
                    <span className="figures">{i + 1}</span>
                    <span className={css.chip} style={{ background: glaze?.colour ?? 'var(--bare)' }} />
                    <b>{glaze?.name ?? 'Choose a glaze'}</b>
                    <span className={error ? 'heat small' : 'quiet small'}>
                      {layerWords({ times: coat.times, way: wayOf(coat.method) })}
                      {coat.area !== null
                        ? `, ${coat.area}`
                        : coat.side !== 'outside' && `, ${sideWord(draft.form, coat.side)}`}
                      {coat.cover && `, ${coverWords(coat.cover)}`}
                      {coat.not.length > 0 && `, not on ${coat.not.join(' and ')}`}
                      {coat.firingId && `, in ${firingNames.get(coat.firingId) ?? 'an earlier firing'}`}
                    </span>
                  </button>
                  {i === selected && (
                    <span className={css.coatTools}>
                      <IconButton
                        size="small"
                        onClick={() => onMove(i, i - 1)}
                        disabled={i === 0}
                        aria-label="Apply earlier"
                        title="Apply earlier"
                      >
                        <ArrowUpward fontSize="small" />
                      </IconButton>
                      <IconButton
                        size="small"
                        onClick={() => onMove(i, i + 1)}
                        disabled={i === draft.coats.length - 1}
                        aria-label="Apply later"
                        title="Apply later"
                      >
                        <ArrowDownward fontSize="small" />
                      </IconButton>
                      {hasOtherSide && coat.area === null && (
                        <IconButton
                          size="small"
                          onClick={() => onPut((before) => onOtherSide(before, i))}
                          aria-label={`The same on the other side as coat ${i + 1}`}
                          title="The same on the other side"
                        >
                          <ContentCopy fontSize="small" />
                        </IconButton>
                      )}
                      <IconButton
                        size="small"
                        onClick={() => onRemove(i)}
                        aria-label={`Remove coat ${i + 1}`}
                        title="Remove coat"
                      >
                        <DeleteOutline fontSize="small" />
                      </IconButton>
                    </span>
                  )}
                </div>
                {i === selected && (
                  <CoatFields
                    coat={coat}
                    index={i}
                    draft={draft}
                    bands={bands}
                    glazes={glazes}
                    errorOf={errorOf}
                    onChange={(change) => onChange(i, change)}
                    onPut={onPut}
                  />
                )}
              </>
            )}
          </SortedItem>
        );
      })}
    </SortedList>
  );
}
