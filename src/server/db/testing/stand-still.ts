/** A process with a watchdog of two seconds that works for a while, and then never comes back. */
import { startWatchdog } from '../watchdog';

startWatchdog(2);
let rounds = 0;
const work = setInterval(() => {
  console.log('alive');
  if (++rounds < 8) return;
  clearInterval(work);
  for (;;) Math.sqrt(rounds++);
}, 500);
