import { jest } from '@jest/globals';
import { debounced } from './debounced';

describe('an action that is put off', () => {
  beforeEach(() => void jest.useFakeTimers());
  afterEach(() => void jest.useRealTimers());

  it('runs once, the newest of them, when nothing has asked for a while', () => {
    const done: number[] = [];
    const { run } = debounced(100);
    run(() => done.push(1));
    jest.advanceTimersByTime(90);
    run(() => done.push(2));
    jest.advanceTimersByTime(90);
    expect(done).toEqual([]);
    jest.advanceTimersByTime(10);
    expect(done).toEqual([2]);
    jest.advanceTimersByTime(1000);
    expect(done).toEqual([2]);
  });

  it('is done at once or given up, and then not again', () => {
    const done: number[] = [];
    const { run, flush, cancel } = debounced(100);
    run(() => done.push(1));
    flush();
    flush();
    run(() => done.push(2));
    cancel();
    jest.advanceTimersByTime(1000);
    expect(done).toEqual([1]);
  });
});
