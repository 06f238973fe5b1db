import { connect, migrate, type Db } from '@/records/platform';
import { fixtureStudio, type Studio } from '../../demo/fixture';
import { watchWrites } from './watchWrites';

export * from '../../demo/fixture';

/** Makes an empty, migrated database of that name on the test server. */
export async function freshBase(name: string): Promise<Db> {
  const url = new URL(process.env.DATABASE_URL!);
  const root = connect(url.href);
  await root.raw('drop database if exists ??', [`jiten_${name}`]);
  await root.raw('create database ??', [`jiten_${name}`]);
  await root.destroy();
  url.pathname = `/jiten_${name}`;
  const base = connect(url.href);
  await migrate(base);
  watchWrites(base);
  return base;
}

/** Makes the fixture studio in a database of that name on the test server. */
export async function freshStudio(name: string): Promise<Studio> {
  return fixtureStudio(await freshBase(name));
}
