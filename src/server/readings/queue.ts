/** Runs jobs of the same name one after another; jobs of different names know nothing of each other. */
export function queueByName() {
  const last = new Map<string, Promise<void>>();
  return (name: string, job: () => Promise<void>): Promise<void> => {
    const before = last.get(name) ?? Promise.resolve();
    const next = before.then(job, job);
    last.set(name, next);
    const forget = () => {
      if (last.get(name) === next) last.delete(name);
    };
    next.then(forget, forget);
    return next;
  };
}
