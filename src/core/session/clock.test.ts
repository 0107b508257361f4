import fc from 'fast-check';
import { readClock, type ClockEvent } from './clock';
import { stagesFor, wholeShares, type SessionMedium } from './stages';

const MINUTE = 60_000;
const NOON = Date.UTC(2026, 5, 1, 12);
const at = (minutes: number) => NOON + minutes * MINUTE;
const event = (minutes: number, is: ClockEvent['is'], more?: number): ClockEvent => ({
  at: at(minutes),
  is,
  ...(more !== undefined && { minutes: more }),
});
/** Ten, twenty and thirty minutes of an hour. */
const STAGES = [{ share: 1 }, { share: 2 }, { share: 3 }];
const read = (events: ClockEvent[], minutes: number) => readClock(events, STAGES, 60, at(minutes));

describe('the clock of a session', () => {
  it('waits until it is started', () => {
    expect(read([], 90)).toMatchObject({ phase: 'ready', stage: 0, painted: 0, left: 10 * MINUTE });
  });

  it('goes from stage to stage by itself, and says when each will end', () => {
    const events = [event(0, 'start')];
    expect(read(events, 4)).toMatchObject({ phase: 'running', stage: 0, left: 6 * MINUTE });
    const later = read(events, 12);
    expect(later).toMatchObject({ stage: 1, left: 18 * MINUTE, painted: 12 * MINUTE });
    expect(later.ends).toEqual([
      { stage: 1, at: at(30) },
      { stage: 2, at: at(60) },
    ]);
  });

  it('stands still in a pause', () => {
    const events = [event(0, 'start'), event(5, 'pause'), event(45, 'resume')];
    expect(read(events.slice(0, 2), 40)).toMatchObject({ phase: 'paused', left: 5 * MINUTE });
    expect(read(events.slice(0, 2), 40).ends).toEqual([]);
    expect(read(events, 47)).toMatchObject({ stage: 0, left: 3 * MINUTE, painted: 7 * MINUTE });
  });

  it('leaves a stage early, and gives five more minutes to the one that is on', () => {
    const events = [event(0, 'start'), event(3, 'next'), event(10, 'more', 5)];
    expect(read(events, 10)).toMatchObject({ stage: 1, left: (25 - 7) * MINUTE });
    expect(read(events, 29)).toMatchObject({ stage: 2, left: 29 * MINUTE });
  });

  it('goes on over the end until it is ended; more time counts from then', () => {
    const events = [event(0, 'start')];
    expect(read(events, 63)).toMatchObject({ phase: 'running', stage: 2, left: -3 * MINUTE });
    expect(read(events, 63).ends).toEqual([]);
    expect(read([...events, event(63, 'more', 5)], 64).left).toBe(4 * MINUTE);
    const ended = read([...events, event(65, 'end')], 400);
    expect(ended).toMatchObject({ phase: 'ended', painted: 65 * MINUTE });
  });

  it('takes nothing away for a clock that was set back, and lets what makes no sense be', () => {
    const events = [
      event(0, 'resume'),
      event(0, 'start'),
      event(1, 'start'),
      event(2, 'resume'),
      event(3, 'pause'),
      event(4, 'pause'),
    ];
    expect(read(events, 30).painted).toBe(3 * MINUTE);
    expect(read([event(0, 'start')], -5).phase).toBe('ready');
  });

  it('loses no second: what was painted in the stages is the time that was not paused', () => {
    const kinds = ['pause', 'resume', 'next', 'more'] as const;
    const steps = fc.array(
      fc.record({ wait: fc.integer({ min: 0, max: 900_000 }), is: fc.constantFrom(...kinds) }),
      { maxLength: 30 },
    );
    fc.assert(
      fc.property(steps, fc.integer({ min: 0, max: 900_000 }), (list, rest) => {
        let now = NOON;
        let running = true;
        let painted = 0;
        const events: ClockEvent[] = [{ at: now, is: 'start' }];
        for (const { wait, is } of list) {
          now += wait;
          if (running) painted += wait;
          if (is === 'pause') running = false;
          if (is === 'resume') running = true;
          events.push({ at: now, is, ...(is === 'more' && { minutes: 5 }) });
        }
        if (running) painted += rest;
        const reading = readClock(events, STAGES, 60, now + rest);
        expect(reading.painted).toBeCloseTo(painted, 3);
      }),
    );
  });
});

describe('the stages of a medium', () => {
  it.each(['paint', 'washes', 'pencils', 'sticks', 'inks', 'screen'] satisfies SessionMedium[])(
    'share the whole time: %s',
    (medium) => {
      const stages = stagesFor(medium);
      expect(stages.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
      expect(new Set(stages.map(({ name }) => name)).size).toBe(stages.length);
    },
  );

  it('keep their proportions when one is dropped, and are alike where none has a share', () => {
    expect(wholeShares([{ share: 1 }, { share: 3 }]).map(({ share }) => share)).toEqual([
      0.25, 0.75,
    ]);
    expect(wholeShares([{ share: 0 }, { share: 0 }]).map(({ share }) => share)).toEqual([0.5, 0.5]);
  });
});
