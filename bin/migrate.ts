import { connect } from '../src/records/db';
import { migrate } from '../src/records/migrate';

const base = connect(process.env.DATABASE_URL!);
migrate(base)
  .then((ran) => console.log(ran.length ? `ran ${ran.join(', ')}` : 'up to date'))
  .finally(() => base.destroy());
