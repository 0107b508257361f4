import { newSession, sessionContentSchema, type SessionContent } from '@/contracts/session';
import {
  addCheck,
  addNote,
  addSnapshot,
  dropSnapshot,
  dropStage,
  editCheck,
  editStage,
  excuse,
  keepLimit,
  moveStage,
  newCheck,
  stageNamed,
  withClock,
  withMedium,
} from './session-edits';

const AT = 1_780_000_000_000;
const plain = newSession('Roofs', 'values', 'paint');
const shot = { id: 'shot', at: AT, stage: 'stage-2', from: 'camera' as const };
const names = ({ stages }: SessionContent) => stages.map(({ name }) => name);
const isWhole = (session: SessionContent) => sessionContentSchema.parse(session);

describe('edits of a session', () => {
  it('write down what was done with the clock, with five minutes where there are more', () => {
    const session = withClock(withClock(plain, 'a', 'start', AT), 'b', 'more', AT + 1);
    expect(isWhole(session).clock).toEqual([
      { id: 'a', at: AT, is: 'start' },
      { id: 'b', at: AT + 1, is: 'more', minutes: 5 },
    ]);
    expect(plain.clock).toEqual([]);
  });

  it('put stages in the person’s own order, and never take the last one', () => {
    const moved = moveStage(plain, 'stage-2', -1);
    expect(names(moved).slice(0, 2)).toEqual(['Big shapes', 'Sketch']);
    expect(moveStage(plain, 'stage-1', -1)).toBe(plain);
    expect(names(dropStage(plain, 'stage-1'))).toHaveLength(5);
    const one = { ...plain, stages: plain.stages.slice(0, 1) };
    expect(dropStage(one, 'stage-1')).toBe(one);
    expect(names(editStage(plain, 'stage-1', { name: 'Lines' }))[0]).toBe('Lines');
    expect(names(isWhole(withMedium(plain, 'washes')))).toContain('Lights');
  });

  it('keep notes and snapshots, each once, and drop a snapshot with its checks', () => {
    const noted = addNote(plain, { id: 'n', at: AT, stage: null, words: 'edges' });
    expect(stageNamed(noted, noted.notes[0].stage)).toBe('afterwards');
    const taken = addSnapshot(addSnapshot(noted, shot), shot);
    expect(taken.snapshots).toHaveLength(1);
    const checked = addCheck(taken, newCheck(taken, 'c', 'shot', AT));
    expect(isWhole(checked).checks[0]).toMatchObject({ snapshot: 'shot', isDigital: false });
    expect(dropSnapshot(checked, 'shot')).toMatchObject({ snapshots: [], checks: [] });
  });

  it('lay a new check as the last one of the snapshot was, and a file of a screen as a file', () => {
    const first = addCheck(plain, newCheck(plain, 'c', 'shot', AT));
    const set = editCheck(first, 'c', { white: { x: 0.1, y: 0.2 }, isDigital: true });
    expect(newCheck(set, 'd', 'shot', AT)).toMatchObject({
      white: { x: 0.1, y: 0.2 },
      isDigital: true,
      finding: null,
    });
    expect(newCheck(withMedium(plain, 'screen'), 'e', 'other', AT).isDigital).toBe(true);
  });

  it('leave a finding out for one reason at a time, and take it in again', () => {
    const check = newCheck(plain, 'c', 'shot', AT);
    const once = excuse(check, 'relation-1', 'on purpose');
    expect(excuse(once, 'relation-1', 'model has faded').excused).toEqual([
      { id: 'relation-1', why: 'model has faded' },
    ]);
    expect(excuse(once, 'relation-1', null).excused).toEqual([]);
    const limited = { ...plain, limits: [{ id: 'l', text: 'one brush', kept: null }] };
    expect(keepLimit(limited, 'l', false).limits[0].kept).toBe(false);
  });
});
