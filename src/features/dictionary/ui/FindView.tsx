import { figures } from '@/core/units';
import { Said } from '@/ui/units';
import Link from 'next/link';
import { SURFACES, defectName, heatName, heatShort } from '@/core/vocabulary';
import { colourWords, movementWords } from '@/core/evidence';
import type { Found } from '@/records/dictionary';
import { GuideWords } from '@/ui/frame';
import { LinkButton } from '@/ui/LinkButton';
import { ProofMarks } from '@/ui/ProofMarks';
import { Swatch } from '@/ui/Swatch';
import { AskColour } from './AskColour';
import { FindProvider, Chip } from './FindProvider';
import css from './find.module.css';
import { nearWords, type FindQuery } from '../model/findQuery';
import { textureWords } from '../model/textureWords';

interface Named {
  readonly id: string;
  readonly name: string;
}

interface Props {
  readonly asked: FindQuery;
  readonly found: readonly Found[];
  readonly cones: readonly string[];
  readonly clays: readonly Named[];
  /** Textures that something was tried over, with 'breaks' where something breaks. */
  readonly textures: readonly string[];
  /** Colours to start from: the studio's own glazes. */
  readonly chips: readonly { readonly name: string; readonly colour: string }[];
  /** The headword that something like it is looked for. */
  readonly but: string | null;
}

/** Entries by colour, surface and what they must not do; every answer is one tap from its entry. */
export function FindView({ asked, found, cones, clays, textures, chips, but }: Props) {
  const filters = filtersOf(asked);
  return (
    <FindProvider>
      <GuideWords first="Find by colour" />
      <h1>{but ? `Like ${but}, but not it` : 'Find by colour'}</h1>
      <div className={css.columns}>
        <AskColour asked={asked} chips={chips} />
        <div>
          <div className={css.filters} role="group" aria-label="Only">
            <Row
              name="Cone"
              options={cones.map((cone) => [cone, heatShort(cone)])}
              param="cone"
              asked={asked}
            />
            <Row name="Clay" options={clays.map(({ id, name }) => [id, name])} param="clay" asked={asked} />
            <Row
              name="Surface"
              options={SURFACES.map((word) => [word, word])}
              param="surface"
              asked={asked}
            />
            <Row
              name="Texture"
              options={textures.map((word) => [word, word === 'breaks' ? 'breaks over edges' : word])}
              param="texture"
              asked={asked}
            />
            <p className={css.row}>
              <span className={css.name}>Only</span>
              {filters.map(({ key, words }) => (
                <Chip
                  key={key}
                  asked={asked}
                  change={{ [key]: asked[key] ? undefined : '1' }}
                  on={Boolean(asked[key])}
                >
                  {words}
                </Chip>
              ))}
            </p>
          </div>
          <h2 aria-live="polite">{headingOf(asked, found)}</h2>
          {found.length === 0 && <Nothing asked={asked} />}
          <ul className={css.found} aria-label="Entries found">
            {found.map((entry) => (
              <li key={entry.id}>
                <Link href={`/entry/${entry.headwordId}#${entry.id}`} className={css.entry}>
                  <span className={css.pair}>
                    <Swatch hash={entry.swatchHash} colour={entry.colour} width={112} height={84} />
                    {asked.colour && <i style={{ background: asked.colour }} aria-hidden />}
                  </span>
                  <span>
                    <b>{entry.headword}</b>
                    {entry.difference !== null && (
                      <span className={css.near}>
                        {nearWords(entry.difference)},{' '}
                        <span className="figures">difference {figures(entry.difference, 1)}</span>
                        {entry.isLesser && ', in part of it'}
                      </span>
                    )}
                    <span className="small">
                      {[entry.surface, entry.colour && colourWords(entry.colour)].filter(Boolean).join(', ')}
                      {entry.movement && (
                        <>
                          {'; '}
                          <Said of={movementWords(entry.movement)} />
                        </>
                      )}
                    </span>
                    <span className="small quiet">
                      {entry.ground}, {heatName(entry.cone)}, {entry.atmosphere}
                    </span>
                    {asked.texture && (
                      <span className="small">{textureWords(entry.textured, asked.texture)}</span>
                    )}
                    <span className="small">
                      <ProofMarks proofs={entry.proofs} agreeing={entry.agreeing} height={11} />{' '}
                      {entry.worstDefect && entry.worstSeverity > 1 && (
                        <b className="heat">{defectName(entry.worstDefect)}</b>
                      )}
                    </span>
                  </span>
                </Link>
              </li>
            ))}
          </ul>
        </div>
      </div>
    </FindProvider>
  );
}

function filtersOf(asked: FindQuery) {
  return (
    [
      { key: 'stays', words: 'does not run' },
      { key: 'sound', words: 'without defects' },
      { key: 'food', words: 'not decorative-only' },
      { key: 'now', words: 'in the studio now' },
    ] as const
  ).map((one) => ({ ...one, on: Boolean(asked[one.key]) }));
}

function headingOf({ colour }: FindQuery, found: readonly Found[]): string {
  if (found.length === 0) return 'No tile matches';
  const count = `${found.length}${found.length === 24 ? ' or more' : ''}`;
  return colour
    ? `${count} near ${colourWords(colour)}`
    : `${count} with most tiles; choose a colour to narrow them`;
}

/** What could be left out so that something is found. */
function Nothing({ asked }: { asked: FindQuery }) {
  const words: Readonly<Record<string, string>> = {
    cone: heatName(asked.cone ?? ''),
    clay: 'the clay',
    surface: `${asked.surface}`,
    texture: asked.texture === 'breaks' ? 'breaking over edges' : `${asked.texture}`,
    stays: 'does not run',
    sound: 'without defects',
    food: 'not decorative-only',
    now: 'in the studio now',
  };
  const set = Object.keys(words).filter((key) => asked[key as keyof FindQuery]);
  return (
    <div>
      <p>
        {set.length > 0
          ? 'Remove a filter, or request a test: '
          : asked.colour
            ? 'No fired zone has a colour near this one. '
            : 'Colours are measured in the photos of fired pieces, from their opening on. '}
      </p>
      <p className={css.row}>
        {set.map((key) => (
          <Chip key={key} asked={asked} change={{ [key]: undefined }} on>
            without “{words[key]}”
          </Chip>
        ))}
        <LinkButton href="/rounds/suggest">Plan a test</LinkButton>
      </p>
    </div>
  );
}

function Row({
  name,
  options,
  param,
  asked,
}: {
  name: string;
  options: readonly (readonly [string, string])[];
  param: 'cone' | 'clay' | 'surface' | 'texture';
  asked: FindQuery;
}) {
  if (options.length === 0) return null;
  return (
    <p className={css.row}>
      <span className={css.name}>{name}</span>
      {options.map(([value, words]) => {
        const on = asked[param] === value;
        return (
          <Chip key={value} asked={asked} change={{ [param]: on ? undefined : value }} on={on}>
            {words}
          </Chip>
        );
      })}
    </p>
  );
}
