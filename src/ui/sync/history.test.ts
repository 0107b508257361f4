import { z } from 'zod';
import { mergeOf } from './merge';
import { amend, begin, change, rebase, redo, undo } from './history';

describe('history', () => {
  it('goes back and forward, and a new change ends the way forward', () => {
    let history = change(change(begin('a'), 'b', null, 0), 'c', null, 0);
    history = undo(undo(history));
    expect(history.present).toBe('a');
    expect(redo(history).present).toBe('b');
    expect(redo(change(history, 'd', null, 0)).present).toBe('d');
    expect(undo(begin('a'))).toEqual(begin('a'));
    expect(redo(begin('a'))).toEqual(begin('a'));
  });

  it('makes one step of a run of typing, and two of runs with a pause between', () => {
    let history = begin('');
    history = change(history, 'F', 'title', 0);
    history = change(history, 'Fo', 'title', 300);
    history = change(history, 'Fog', 'title', 600);
    expect(undo(history).present).toBe('');
    history = change(history, 'Fog!', 'title', 9000);
    expect(undo(history).present).toBe('Fog');
  });

  it('does not undo what another window did', () => {
    const base = { title: 'a', maker: '' };
    const history = change(begin(base), { ...base, title: 'b' }, null, 0);
    const merge = mergeOf(z.object({ title: z.string(), maker: z.string() }));
    const theirs = { ...base, maker: 'them' };
    const after = rebase(history, { title: 'b', maker: 'them' }, base, theirs, merge);
    expect(undo(after).present).toEqual({ title: 'a', maker: 'them' });
  });

  it('puts the present right without a step', () => {
    const history = amend(change(begin('a'), 'b', null, 0), 'b, put right');
    expect(history.present).toBe('b, put right');
    expect(undo(history).present).toBe('a');
    expect(redo(amend(undo(history), 'a, put right')).present).toBe('b, put right');
  });
});
