import { refreshStaleEntries } from '@/records/dictionary';
import { rereadCones } from '@/records/firings';
import { relayStalePieces } from '@/records/pieces';
import { connect, migrate } from '@/records/platform';

const base = connect(process.env.DATABASE_URL!);
migrate(base)
  .then(async (ran) => {
    console.log(ran.length ? `ran ${ran.join(', ')}` : 'up to date');
    const readAgain = await rereadCones(base);
    if (readAgain) console.log(`read the witness cones of ${readAgain} firings again`);
    const laidAgain = await relayStalePieces(base);
    if (laidAgain) console.log(`laid the zones of ${laidAgain} pieces by the rules of this release`);
    const summedUp = await refreshStaleEntries(base);
    if (summedUp) console.log(`summed up ${summedUp} entries by the rules of this release`);
  })
  .finally(() => base.destroy());
