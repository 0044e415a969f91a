import { mkdirSync, rmSync } from 'node:fs';
import { databaseIn, openAt, serverStore } from '../store/index.ts';
import { layOutDemo } from './layOutDemo.ts';

/** Makes the database that a first start begins from: newest schema, and the demo sets. */
export const prepare = async (target: string, migrations: string, demo: string): Promise<readonly string[]> => {
  rmSync(target, { recursive: true, force: true });
  mkdirSync(target, { recursive: true });
  const store = serverStore(await openAt(databaseIn(target), migrations));
  const names = await layOutDemo(store, demo, new Date());
  await store.close();
  return names;
};
