import { clockFigures, durationWords } from './time-words';

describe('time on the easel', () => {
  it('counts a second until it is over', () => {
    expect(clockFigures(60_000)).toBe('1:00');
    expect(clockFigures(59_001)).toBe('1:00');
    expect(clockFigures(59_000)).toBe('0:59');
    expect(clockFigures(-130_000)).toBe('2:10');
    expect(clockFigures(105 * 60_000)).toBe('1:45:00');
  });

  it('is said in words afterwards', () => {
    expect(durationWords(20_000)).toBe('under a minute');
    expect(durationWords(12 * 60_000)).toBe('12 min');
    expect(durationWords(120 * 60_000)).toBe('2 h');
    expect(durationWords(80 * 60_000)).toBe('1 h 20 min');
  });
});
