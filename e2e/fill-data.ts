// Fills the data folder that PRISM_DATA names with what specs begin on: nothing, the demo, or many libraries.
import { seedDemo } from '../src/server/demo/seed';
import { closeDatabase, database } from '../src/server/db/client';
import { fillLibraries } from '../src/server/testing/many-libraries';
import { fillStudies } from '../src/server/testing/many-studies';
import { closePool } from '../src/workers/server/pool';

const FILLINGS: Record<string, () => Promise<unknown>> = {
  /** The tables alone: making them takes a server as long as all else of its start. */
  empty: () => database(),
  demo: () => seedDemo(),
  many: async () => {
    await fillLibraries(2000, 10);
    await fillStudies(5000);
  },
};

await FILLINGS[process.argv[2]]();
await closeDatabase();
await closePool();
