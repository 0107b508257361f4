import type { SkillReport } from '@/core/drills/report';
import { percent } from '@/ui/words';
import { SKILL_TITLES } from './profile-words';

/** What was asked of each skill, and how much of it was right. Questions grow harder, so about three of four is as it should be. */
export function SkillsTable({ skills }: { skills: readonly SkillReport[] }) {
  return (
    <section aria-label="Skills">
      <h2 className="mb-1 font-semibold">Skills</h2>
      <p className="mb-1 text-sm text-soft">
        Questions grow harder until three of four are right: fewer is where to look.
      </p>
      <table className="w-full text-[15px]">
        <thead>
          <tr className="border-b text-left text-soft">
            <th className="font-normal">What</th>
            <th className="text-right font-normal">Answers</th>
            <th className="text-right font-normal">Right</th>
          </tr>
        </thead>
        <tbody>
          {skills.map(({ skill, count, right }) => (
            <tr key={skill} className="border-b">
              <th scope="row" className="py-1.5 text-left font-normal">
                {SKILL_TITLES[skill]}
              </th>
              <td className="text-right">{count}</td>
              <td className="text-right">{percent(right)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
