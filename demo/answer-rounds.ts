// Answers the rounds of the demo's student, eight weeks of them: `npm run answer-rounds`. Some seconds.
import { writeFile } from 'node:fs/promises';
import path from 'node:path';
import type { Oklab } from '../src/core/colour/oklab';
import { INTENSITY_WORDS } from '../src/core/colour/intensity';
import { PAINTERS_WHEEL } from '../src/core/colour/wheel';
import { DRILL_KINDS } from '../src/core/drills/kinds';
import { between, turnedBy } from '../src/core/drills/making';
import { SKILLS, type Answer, type Question } from '../src/core/drills/question';
import { regionOf, type ColourRegion } from '../src/core/drills/region';
import { nextQuestion, practisedRegion, standingOf, takeAnswer } from '../src/core/drills/round';
import { outcomeOf } from '../src/core/drills/score';
import type { SkillInRegion } from '../src/core/drills/schedule';
import { START } from '../src/core/drills/staircase';
import { learner } from '../src/core/drills/testing/learner';
import { withValue } from '../src/core/colour/at-value';
import { valueOfOklab } from '../src/core/colour/value';
import { randomFrom } from '../src/core/seeded';

const FIRST_DAY = Date.UTC(2026, 8, 21);
const WEEKS = 8;
/** The days of a week that have a round, and the hour it is held at. */
const DAYS = [0, 1, 3, 4];
const HOUR = 7.5;
const DAY = 86_400_000;

const random = randomFrom(2026);
/** Reads yellows too light and violets too dark, less so with practice. */
const lean = ({ family }: ColourRegion) =>
  /yellow/.test(family ?? '') ? 0.9 : /violet/.test(family ?? '') ? -0.8 : 0.1;
const values = learner(5, { lean, spread: 0.55, learning: 0.004 });
/** How hard a question is still answered as often as not, at first and at the end. */
const ABLE = [0.35, 0.75] as const;
/** Families that are known less well. */
const WEAK = /violet|blue-green/;

const making = { wheel: PAINTERS_WHEEL, screen: { darkest: 1.5, lightest: 9.2 }, colours: [] };

/** Whether the student knows it: the harder and the less known its family, the less likely. */
function isKnown(question: Question, difficulty: number, week: number): boolean {
  const able = ABLE[0] + ((ABLE[1] - ABLE[0]) * week) / (WEEKS - 1);
  const weak = WEAK.test(regionOf(question.about).family ?? '') ? 0.3 : 0;
  return random() < 1 / (1 + Math.exp((difficulty + weak - able) * 7));
}

function answerTo(question: Question, knows: boolean): Answer {
  const { form, about } = question;
  switch (form.by) {
    case 'word': {
      const right = form.right[0];
      if (knows) return { by: 'choice', choice: right };
      const isRow = form.words.length === INTENSITY_WORDS.length || form.words.length === 12;
      const by = random() < 0.5 ? 1 : -1;
      const near = (right + by + form.words.length) % form.words.length;
      const any = (right + 1 + Math.floor(random() * (form.words.length - 1))) % form.words.length;
      return { by: 'choice', choice: isRow ? near : any };
    }
    case 'colour':
    case 'place': {
      const count =
        form.by === 'colour'
          ? form.colours.length
          : question.shown.as === 'row'
            ? question.shown.colours.length
            : 1;
      const right = form.right[0];
      const other = (right + 1 + Math.floor(random() * (count - 1))) % count;
      return { by: 'choice', choice: knows ? right : other };
    }
    case 'value': {
      const read = form.value + values.off(regionOf(about));
      return { by: 'value', value: Math.round(2 * Math.min(10, Math.max(0, read))) / 2 };
    }
    case 'order': {
      const order = [...form.order];
      if (!knows) {
        const at = Math.floor(random() * (order.length - 1));
        [order[at], order[at + 1]] = [order[at + 1], order[at]];
      }
      return { by: 'order', order };
    }
    case 'match': {
      const off = knows ? 0.4 : 2.2;
      const value = valueOfOklab(form.colour) + off * form.within.value * between(random, -1, 1);
      const turned = turnedBy(
        PAINTERS_WHEEL,
        form.colour,
        off * form.within.families * between(random, -1, 1),
      );
      return { by: 'match', colour: withValue(turned, Math.min(9.5, Math.max(0.5, value))) };
    }
  }
}

const standing = standingOf([]);
const lines: string[] = [];
const short = (n: number) => Math.round(n * 1e4) / 1e4;
for (let week = 0; week < WEEKS; week++)
  for (const day of DAYS) {
    const begins = FIRST_DAY + (7 * week + day) * DAY + HOUR * 36e5;
    let at = begins;
    const before: SkillInRegion[] = [];
    for (let number = 0; at < begins + 5 * 60_000; number++) {
      const question = nextQuestion(standing, making, {
        skills: SKILLS,
        now: at,
        number,
        before,
        random,
      });
      if (!question) throw new Error('nothing to ask');
      const { difficulty } = standing.staircases.get(question.kind) ?? START;
      const answer = answerTo(question, isKnown(question, difficulty, week));
      at += Math.round(between(random, 9_000, 26_000));
      const outcome = outcomeOf(question, answer, PAINTERS_WHEEL);
      const { skill } = DRILL_KINDS.find(({ id }) => id === question.kind)!;
      before.push({ skill, region: practisedRegion(skill, question.about) });
      takeAnswer(standing, {
        ...before[number],
        at,
        kind: question.kind,
        isRight: outcome.isRight,
      });
      const { L, a, b }: Oklab = question.about;
      lines.push(
        JSON.stringify({
          at,
          kind: question.kind,
          about: { L: short(L), a: short(a), b: short(b) },
          difficulty: short(difficulty),
          outcome: Object.fromEntries(
            Object.entries(outcome).map(([name, one]) => [
              name,
              typeof one === 'number' ? short(one) : one,
            ]),
          ),
        }),
      );
    }
  }
await writeFile(path.join(process.cwd(), 'demo/practice.json'), `[\n${lines.join(',\n')}\n]\n`);
console.log(`${lines.length} answers`);
