import { connect, migrate } from '@/records/platform';

const base = connect(process.env.DATABASE_URL!);
migrate(base)
  .then((ran) => console.log(ran.length ? `ran ${ran.join(', ')}` : 'up to date'))
  .finally(() => base.destroy());
