import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { uptime } from 'node:os';

/** What tells one run of a process from every other on this machine. */
export interface ProcessIdentity {
  pid: number;
  /** When the process started; null where the system does not say. */
  started: string | null;
  /** The start of the machine. */
  boot: string;
}

/** How far the boot time may differ between two readings where it is derived from the clock, in seconds. */
const CLOCK_TOLERANCE = 30;

export function ownIdentity(): ProcessIdentity {
  return { pid: process.pid, started: startOf(process.pid), boot: bootId() };
}

/** Whether the process still runs: the same boot, process id and start time. */
export function isRunning({ pid, started, boot }: ProcessIdentity): boolean {
  if (!sameBoot(boot, bootId()) || !exists(pid)) return false;
  const now = startOf(pid);
  return started === null || now === null || now === started;
}

function exists(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    // A process of another user exists, but takes no signals.
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}

function startOf(pid: number): string | null {
  try {
    if (process.platform === 'linux') {
      const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
      // The name, in brackets, may hold anything; start time is the 20th field after it.
      const fields = stat.slice(stat.lastIndexOf(')') + 2).split(' ');
      // A killed process that nobody has waited for is over.
      return fields[0] === 'Z' || fields[0] === 'X' ? 'over' : fields[19];
    }
    if (process.platform === 'darwin')
      return execFileSync('ps', ['-o', 'lstart=', '-p', String(pid)], { encoding: 'utf8' }).trim();
  } catch {
    // No such process, or no such program.
  }
  return null;
}

function bootId(): string {
  try {
    return readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim();
  } catch {
    return String(Math.round(Date.now() / 1000 - uptime()));
  }
}

function sameBoot(one: string, other: string): boolean {
  if (one === other) return true;
  const apart = Math.abs(Number(one) - Number(other));
  return apart <= CLOCK_TOLERANCE;
}
