import Papa from 'papaparse';
import type { LoggedSession } from '@/contracts/session';
import { recurringMistakes } from '@/core/session/recurring';
import { fullSession } from '@/server/testing/some-session';
import { ALL_ENTRIES, choicesIn, filteredEntries, logEntries } from './log-entries';
import { logJson, logTable } from './log-table';
import { habitSentence, hoursWords, logSentence, suggestionWords } from './log-words';

const session = (id: string, part: Partial<LoggedSession['content']> = {}): LoggedSession => ({
  id,
  studyId: id,
  revision: 1,
  createdAt: '2026-11-01T10:00:00.000Z',
  content: { ...fullSession(), ...part },
  study: { title: 'Wet roofs', maker: 'A. Maker', pictureId: id, pictureHash: 'a'.repeat(64) },
});

describe('the log', () => {
  it('lists sessions by when they began, with what was painted and found', () => {
    const unpainted = session('b', { clock: [], snapshots: [], checks: [] });
    const [first, second] = logEntries([session('a'), unpainted], []);
    expect([first.session.id, second.session.id]).toEqual(['b', 'a']);
    expect(second).toMatchObject({ at: 1_780_000_000_000, painted: 1_200_000 });
    expect(second.mistakes!.map(({ kind }) => kind)).toContain('middles too light');
    // What was done on purpose is no mistake.
    expect(second.mistakes!.map(({ kind }) => kind)).not.toContain('edges lost');
    expect(first).toMatchObject({ painted: 0, check: null, mistakes: null });
  });

  it('stops a clock that was never stopped where it was touched last', () => {
    const [{ painted }] = logEntries(
      [session('a', { clock: [{ id: 'a', at: 1_780_000_000_000, is: 'start' }] })],
      [],
    );
    // The snapshot is from 500 seconds later.
    expect(painted).toBe(500_000);
  });

  it('is found by words in any part, by aim, medium and maker', () => {
    const entries = logEntries([session('a'), session('b', { aim: 'speed', medium: 'inks' })], []);
    const found = (part: Partial<typeof ALL_ENTRIES>) =>
      filteredEntries(entries, { ...ALL_ENTRIES, ...part }).map((entry) => entry.session.id);
    expect(found({})).toHaveLength(2);
    expect(found({ words: 'ROOFS  tubes' })).toHaveLength(2);
    expect(found({ words: 'inks' })).toEqual(['b']);
    expect(found({ words: 'too light', aim: 'values' })).toEqual(['a']);
    expect(found({ maker: 'Nobody' })).toEqual([]);
    const held = logEntries([session('a')], [{ id: 'course', title: 'Dusk, four ways' }]);
    expect(filteredEntries(held, { ...ALL_ENTRIES, words: 'four ways' })).toHaveLength(1);
    expect(logTable(held)).toContain('Dusk, four ways');
    expect(choicesIn(entries, (entry) => entry.session.content.medium)).toEqual(['inks', 'paint']);
  });

  it('is a table that a spreadsheet takes for text, and our JSON with everything', () => {
    const entries = logEntries([session('a', { title: '=1+1' })], []);
    const [row] = Papa.parse<Record<string, string>>(logTable(entries), {
      header: true,
      delimiter: ',',
    }).data;
    expect(row.title).toBe("'=1+1");
    expect(row).toMatchObject({ 'minutes painted': '20', 'aim met': 'partly', maker: 'A. Maker' });
    expect(row.allowed).toBe('three tubes (kept)');
    const json = JSON.parse(logJson(entries));
    expect(json.sessions[0]).toMatchObject({ id: 'a', aim: 'values', checks: [{ id: 'check' }] });
  });

  it('says what was painted and what comes back', () => {
    expect(logSentence([], [])).toContain('Nothing was painted');
    const entries = logEntries([session('a'), session('b')], []);
    const mistakes = recurringMistakes(
      entries.map(({ session: { id }, at, mistakes: own }, i) => ({
        id,
        at: at + i,
        mistakes: own!,
      })),
    );
    expect(logSentence(entries, mistakes)).toMatch(
      /^Two studies, half an hour at the easel\. What comes back most is “.*”, in 2 of 2/,
    );
    expect(hoursWords(9_000_000)).toBe('2 ½ hours');
  });

  it('says what one keeps to, and what was not tried', () => {
    const now = Date.UTC(2026, 10, 30);
    expect(suggestionWords({ kind: 'key', what: 'high', last: null }, now)).toBe(
      'No study in a high key yet.',
    );
    expect(suggestionWords({ kind: 'aim', what: 'speed', last: now - 90 * 864e5 }, now)).toBe(
      'Nothing with the aim “speed” for 3 months.',
    );
    const none = { low: [0, 0], middle: [0, 0], high: [0, 0] } as const;
    expect(
      habitSentence({
        studies: 0,
        models: 0,
        keys: none,
        ranges: { short: [0, 0], medium: [0, 0], full: [0, 0] },
        means: [],
        hues: [],
        suggestions: [],
      }),
    ).toContain('Habits show once');
  });
});
