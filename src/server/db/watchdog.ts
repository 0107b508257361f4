import { Worker } from 'node:worker_threads';

/** Seconds without a sign of life after which the process is ended. */
const DEFAULT_SECONDS = 180;
const BEAT_MILLISECONDS = 500;

/**
 * Ends the process when its event loop stands still for long: an embedded PostgreSQL runs in it, and one that can't go
 * on (a disk that is full at the wrong moment) neither answers nor lets a signal through. What was acknowledged is on
 * the disk, so that starting again loses nothing. A thread of its own counts, in turns and not by the clock: a machine
 * that slept has not stood still.
 */
export function startWatchdog(seconds = DEFAULT_SECONDS): () => void {
  const beats = new Int32Array(new SharedArrayBuffer(4));
  const timer = setInterval(() => Atomics.add(beats, 0, 1), BEAT_MILLISECONDS);
  timer.unref();
  const worker = new Worker(WATCHER, { eval: true, workerData: { beats, seconds } });
  worker.unref();
  return () => {
    clearInterval(timer);
    void worker.terminate();
  };
}

const WATCHER = `
const { workerData: { beats, seconds } } = require('node:worker_threads');
const { writeSync } = require('node:fs');
let last = -1;
let turns = 0;
setInterval(() => {
  const now = Atomics.load(beats, 0);
  turns = now === last ? turns + 1 : 0;
  last = now;
  if (turns < seconds) return;
  writeSync(2, 'Bold Prism has stood still for ' + seconds + ' s and is ended. What was saved is kept; start it again.\\n');
  process.kill(process.pid, 'SIGKILL');
}, 1000);
`;
