import { buildWorkers } from './build-workers.mjs';

/** Tests of the server run its real worker, made from the code as it is. */
const setup = () => buildWorkers();
export default setup;
