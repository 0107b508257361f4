// Fills the data folder that PRISM_DATA names with 2,000 libraries of ten swatches, for the spec of many libraries.
import { closeDatabase } from '../src/server/db/client';
import { fillLibraries } from '../src/server/testing/many-libraries';

await fillLibraries(2000, 10);
await closeDatabase();
