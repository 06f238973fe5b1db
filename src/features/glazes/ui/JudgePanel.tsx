'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { heatName, JUDGE_CRITERIA, type JudgeCriterion } from '@/core/vocabulary';
import type { JudgedGlaze } from '@/records/dictionary';
import type { Glaze } from '@/records/materials';
import { shortDay } from '@/core/time';
import { Acts, BothValues, FormErrors, WordField } from '@/ui/kit';
import { Flame } from '@/ui/Flame';
import { Swatch } from '@/ui/Swatch';
import { useMutation } from '@/ui/useMutation';
import { usePersistedState } from '@/ui/usePersistedState';
import { sayOfGlaze } from '../actions';
import { CRITERION_WORDS, knownWords } from '../model/judgeWords';
import css from './judge.module.css';

interface Props {
  readonly glaze: Pick<Glaze, 'id' | 'name' | 'decorative'>;
  readonly judged: JudgedGlaze;
  readonly mayJudge: boolean;
}

/** A glaze as a teacher judges it after a round: what the tiles say of it, and what is said of it. */
export function JudgePanel({ glaze, judged, mayJudge }: Props) {
  return (
    <section className={css.judge} aria-labelledby="judge-title" id="judge">
      <h2 id="judge-title">Judged</h2>
      <p className="small quiet">
        Counts are of pieces that count in the dictionary, with a recipe version in use.
      </p>
      <dl>
        {JUDGE_CRITERIA.map((criterion) => (
          <div key={criterion}>
            <dt>{CRITERION_WORDS[criterion]}</dt>
            <dd>
              {criterion === 'colour' && <Colours judged={judged} />}
              {criterion !== 'colour' && (
                <span className={css.known}>
                  {knownWords(judged, criterion, glaze.decorative) ?? (
                    <span className="quiet">nothing on record</span>
                  )}
                </span>
              )}
              <Said key={criterion} {...{ glaze, judged, criterion, mayJudge }} />
            </dd>
          </div>
        ))}
      </dl>
      <p className="small">
        Whether ware is safe for food, no tile says: a leach test by a laboratory decides.
      </p>
    </section>
  );
}

function Colours({ judged: { colours } }: Pick<Props, 'judged'>) {
  if (colours.length === 0) return <span className={`${css.known} quiet`}>nothing on record</span>;
  return (
    <ul className={css.colours}>
      {colours.map(({ clay, cone, atmosphere, hex, pieces }) => (
        <li key={`${clay} ${cone} ${atmosphere}`}>
          <Swatch hash={null} colour={hex} width={44} height={30} />
          <span className="small">
            {clay}, {heatName(cone)}, <Flame atmosphere={atmosphere} />{' '}
            <span className="figures">{pieces}</span>
          </span>
        </li>
      ))}
    </ul>
  );
}

/** What somebody said under a criterion, and the way to say something else. */
function Said({ glaze, judged, criterion, mayJudge }: Props & { readonly criterion: JudgeCriterion }) {
  const said = judged.said.find((one) => one.criterion === criterion);
  const before = said?.words ?? '';
  const [isOpen, setIsOpen] = useState(false);
  const [words, setWords, , drop] = usePersistedState(`jiten.judge.${glaze.id}.${criterion}`, before);
  const { run, isBusy, errors, theirs } = useMutation<{ words: string }>();
  const save = async (from: string) => {
    const to = words.trim();
    if ((await run(() => sayOfGlaze({ glazeId: glaze.id, criterion, from, to }))) === undefined) return;
    drop();
    setIsOpen(false);
  };
  return (
    <>
      {said && !isOpen && (
        <p className={css.said}>
          {said.words}{' '}
          <span className="small quiet">
            {said.by}, {shortDay(said.at)}
          </span>
        </p>
      )}
      {mayJudge && !isOpen && (
        <Button
          size="small"
          variant="text"
          className={css.act}
          aria-label={`${said ? 'Change what is said of' : 'Say'}: ${CRITERION_WORDS[criterion]}`}
          onClick={() => setIsOpen(true)}
        >
          {said ? 'Change' : 'Say'}
        </Button>
      )}
      {isOpen && (
        <div className={css.saying}>
          <WordField
            label={CRITERION_WORDS[criterion]}
            value={words}
            onChange={setWords}
            autoFocus
            multiline
            slotProps={{ htmlInput: { maxLength: 400 } }}
          />
          {theirs && (
            <BothValues
              rows={[{ name: CRITERION_WORDS[criterion], mine: words, theirs: theirs.words }]}
              mine="here"
              theirs="there"
            />
          )}
          <FormErrors errors={errors} />
          <Acts>
            <Button
              variant="contained"
              disabled={isBusy}
              onClick={() => void save(theirs ? theirs.words : before)}
            >
              {theirs ? 'Save mine' : 'Save'}
            </Button>
            <Button
              variant="text"
              onClick={() => {
                drop();
                setWords(before);
                setIsOpen(false);
              }}
            >
              Cancel
            </Button>
          </Acts>
        </div>
      )}
    </>
  );
}
