// Fills a new data folder with the demo's story. The server must not be running on it.
import { closePool } from '../src/workers/server/pool';
import { closeDatabase } from '../src/server/db/client';
import { seedDemo } from '../src/server/demo/seed';

const start = performance.now();
try {
  const studies = await seedDemo();
  console.log(`${studies} demo studies in ${((performance.now() - start) / 1000).toFixed(1)} s`);
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
} finally {
  await closeDatabase();
  await closePool();
}
