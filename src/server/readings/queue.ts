export interface Queue {
  (name: string, job: () => Promise<void>): Promise<void>;
  /** When nothing is left to do, well done or not. */
  idle: () => Promise<void>;
}

/** Runs jobs of the same name one after another; jobs of different names know nothing of each other. */
export function queueByName(): Queue {
  const last = new Map<string, Promise<void>>();
  const add = (name: string, job: () => Promise<void>): Promise<void> => {
    const before = last.get(name) ?? Promise.resolve();
    const next = before.then(job, job);
    last.set(name, next);
    const forget = () => {
      if (last.get(name) === next) last.delete(name);
    };
    next.then(forget, forget);
    return next;
  };
  const idle = async () => {
    while (last.size > 0) await Promise.allSettled(last.values());
  };
  return Object.assign(add, { idle });
}
