import type { Oklab } from '../colour/oklab';
import { profileOf, type Leaning, type SkillProfile } from './profile';
import { SKILLS, type Skill } from './question';
import { regionOf } from './region';
import type { RoundAnswer } from './round';

/** An answer with its colour, and what it was off where that was measured. */
export interface Entry extends RoundAnswer {
  about: Oklab;
  /** Munsell steps, families, intensity words. */
  valueOff?: number;
  familyOff?: number;
  intensityOff?: number;
}

export interface SkillReport {
  skill: Skill;
  count: number;
  /** The share (0–1) of what was scored that was right. */
  right: number;
}

export interface PracticeReport {
  count: number;
  skills: SkillReport[];
  /** How values are read: Munsell steps, above 0 where they are read too light. Null without an answer. */
  value: SkillProfile | null;
  /** How intensities are read: words, above 0 where they are read too strong. */
  intensity: SkillProfile | null;
  /** How far families are read off, either way: families. */
  family: SkillProfile | null;
  /** What is missed more often than the rest, the plainest first. */
  weak: Weak[];
}

export interface Weak {
  skill: Skill;
  leaning: Leaning;
  /** The share that was right there. */
  right: number;
}

/** How many of the latest answers a profile is made of: older ones say how an eye read before. */
const LATEST = 300;
/** A leaning of fewer standard errors proves nothing. */
const MIN_ERRORS = 2;
/** Fewer answers than that say nothing of a part of the space. */
const MIN_ANSWERS = 6;

/** Whether a leaning is more than chance. */
export const isPlain = ({ bias, error, count }: Leaning): boolean =>
  count >= MIN_ANSWERS && Math.abs(bias) >= MIN_ERRORS * error;

const latest = (entries: readonly Entry[]): Entry[] =>
  entries.toSorted((one, other) => one.at - other.at).slice(-LATEST);

const measured = (entries: readonly Entry[], of: (entry: Entry) => number | undefined) =>
  profileOf(
    latest(entries.filter((entry) => of(entry) !== undefined)).map((entry) => ({
      off: of(entry)!,
      region: regionOf(entry.about),
    })),
  );

/** What all answers say of an eye. */
export function practiceReport(entries: readonly Entry[]): PracticeReport {
  const scored = entries.filter(({ isRight }) => isRight !== null);
  const bySkill = SKILLS.map((skill) => ({
    skill,
    own: scored.filter((entry) => entry.skill === skill),
  })).filter(({ own }) => own.length > 0);
  return {
    count: entries.length,
    skills: bySkill.map(({ skill, own }) => ({
      skill,
      count: own.length,
      right: own.filter(({ isRight }) => isRight).length / own.length,
    })),
    value: measured(entries, ({ valueOff }) => valueOff),
    intensity: measured(entries, ({ intensityOff }) => intensityOff),
    family: measured(entries, ({ familyOff }) => familyOff),
    weak: bySkill
      .flatMap(({ skill, own }) => {
        const profile = measured(own, ({ isRight }) => Number(isRight));
        return (profile?.leanings ?? [])
          .filter((leaning) => leaning.bias < 0 && isPlain(leaning))
          .map((leaning) => ({ skill, leaning, right: profile!.bias + leaning.bias }));
      })
      .sort(
        (one, other) =>
          one.leaning.bias / one.leaning.error - other.leaning.bias / other.leaning.error,
      ),
  };
}

/** A week of practice. */
export interface Week {
  /** Its first moment, in milliseconds since 1970. */
  from: number;
  count: number;
  /**
   * The mean of how far values were off, either way, and of which way they leaned, in Munsell steps; null where too few were
   * read to say.
   */
  valueOff: number | null;
  valueLean: number | null;
}

const WEEK = 7 * 86_400_000;
/** The mean of fewer readings is chance. */
const MIN_READINGS = 4;

/** Weeks of practice from the first answer on, each of seven days, those without an answer too. */
export function weeksOf(entries: readonly Entry[]): Week[] {
  if (entries.length === 0) return [];
  const first = Math.min(...entries.map(({ at }) => at));
  const last = Math.max(...entries.map(({ at }) => at));
  return Array.from({ length: Math.floor((last - first) / WEEK) + 1 }, (_, i) => {
    const from = first + i * WEEK;
    const own = entries.filter(({ at }) => at >= from && at < from + WEEK);
    const offs = own.flatMap(({ valueOff }) => valueOff ?? []);
    const mean = (numbers: readonly number[]) =>
      numbers.length < MIN_READINGS
        ? null
        : numbers.reduce((sum, n) => sum + n, 0) / numbers.length;
    return { from, count: own.length, valueOff: mean(offs.map(Math.abs)), valueLean: mean(offs) };
  });
}
