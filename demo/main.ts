import { connect, folderStore } from '@/records/platform';
import { demoIsLoaded, loadDemo } from './load';
import { paintDemo } from './painting';
import { paintSamples } from './samples';

/** `load` puts the scenario into an empty database; `paint` paints the pictures that are missing. */
async function main(what: string): Promise<void> {
  const base = connect(process.env.DATABASE_URL!);
  try {
    if (what === 'load' && !(await demoIsLoaded(base)))
      await loadDemo(base, new Date(), (text) => console.log(text));
    if (what === 'paint') {
      await paintSamples();
      const painter = await base('member').orderBy('id').first('id');
      await paintDemo(
        base,
        folderStore(`${process.env.JITEN_DATA}/photos`),
        painter!.id,
        Number(process.env.JITEN_HANDS ?? 2),
        (done, total) => {
          if (done % 10 === 0 || done === total) console.log(`Pictures painted: ${done} of ${total}`);
        },
      );
    }
  } finally {
    await base.destroy();
  }
}

await main(process.argv[2] ?? 'load');
