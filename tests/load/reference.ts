/**
 * The reference over 200 000 pieces, 400 000 read zones and 60 glazes: the wall and an entry through records
 * against the same statements through bare mysql2, look-up, and the search by colour.
 */
import { createConnection } from 'mysql2/promise';
import { random } from '../../demo/random';
import { labOf } from '../../src/core/colour';
import {
  entriesLike,
  headwordPage,
  provedHeadwords,
  lookUp,
  wallChoices,
  wallEntries,
} from '@/records/dictionary';
import type { Db } from '@/records/platform';
import { fillStudio } from './fill';
import { largeStudio } from './large';
import { show, timed } from './timing';

interface Statement {
  readonly sql: string;
  readonly bindings: unknown[];
}

/** Work through records against the statements it sends, through bare mysql2, turn by turn in one run. */
async function against(base: Db, name: string, runs: number, work: () => Promise<unknown>): Promise<void> {
  const statements: Statement[] = [];
  const hear = ({ sql, bindings }: Statement) => void statements.push({ sql, bindings });
  await work();
  base.on('query', hear);
  await work();
  base.removeListener('query', hear);
  const url = new URL(process.env.DATABASE_URL!);
  const bare = await createConnection({
    host: url.hostname,
    port: Number(url.port),
    user: decodeURIComponent(url.username),
    password: decodeURIComponent(url.password),
    database: 'jiten_reference',
    timezone: 'Z',
  });
  const own: number[] = [];
  const others: number[] = [];
  for (let i = 0; i < runs; i++) {
    own.push((await timed(1, work)).median);
    others.push(
      (
        await timed(1, async () => {
          for (const { sql, bindings } of statements) await bare.query(sql, bindings);
        })
      ).median,
    );
  }
  await bare.end();
  const middle = (list: number[]) => list.sort((a, b) => a - b)[runs >> 1]!;
  const [mine, theirs] = [middle(own), middle(others)];
  console.log(
    `${name}: ${mine.toFixed(1)} ms, ${statements.length} statements bare ${theirs.toFixed(1)} ms, ratio ${(mine / theirs).toFixed(2)}`,
  );
}

async function main(): Promise<void> {
  const facts = await largeStudio('reference', 58);
  const { base } = facts;
  const start = performance.now();
  await fillStudio(facts, facts.mixed, 200_000);
  const [{ count }] = (await base('reading').count('* as count')) as [{ count: number }];
  console.log(`${count} readings, made in ${((performance.now() - start) / 1000).toFixed(0)} s`);
  const [choice] = await wallChoices(base);
  const ask = { grounds: [choice!.groundId], cone: choice!.cone, atmosphere: choice!.atmosphere };
  console.log(`${(await wallEntries(base, ask)).length} entries on the wall`);
  await against(base, 'the wall', 40, () => wallEntries(base, ask));
  const headwords = await provedHeadwords(base);
  const some = headwords[headwords.length >> 1]!;
  await against(base, `the entry ${some.text}`, 40, () => headwordPage(base, some.id));

  const words = [
    'glaze 3',
    'sleeper',
    'limewsh',
    'sw-150000',
    'glaze 12 over glaze 40',
    'crazing',
    'number two',
  ];
  show('look-up', await timed(140, (i) => lookUp(base, words[i % words.length]!)));
  const first = performance.now();
  await entriesLike(base, {}, labOf('#808080'));
  console.log(
    `colours of all zones laid out once after a write: ${((performance.now() - first) / 1000).toFixed(1)} s`,
  );
  const next = random('asked');
  const glazeLike = () => ({ l: 15 + 75 * next(), a: 40 * (next() - 0.5), b: 50 * (next() - 0.4) });
  const any = () =>
    labOf(
      `#${Math.floor(next() * 0xffffff)
        .toString(16)
        .padStart(6, '0')}`,
    );
  const wish = { cone: '6', surface: 'gloss', sound: true, stays: true };
  show('search by a colour as glazes have', await timed(200, () => entriesLike(base, {}, glazeLike())));
  show('the same with four wishes', await timed(200, () => entriesLike(base, wish, glazeLike())));
  show('search by any colour of a screen', await timed(200, () => entriesLike(base, {}, any())));
  await base.destroy();
}

await main();
