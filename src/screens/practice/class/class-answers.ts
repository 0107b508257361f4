import { wheelOf } from '@/core/colour/wheel';
import { spreadOf, type Spread } from '@/core/drills/teachers-round';
import { classAnswersSchema, type ClassAnswers, type ClassRound } from '@/contracts/class-round';

export interface ReadAnswers {
  /** The rounds that answers came of, those with the most answers first. */
  rounds: { round: ClassRound; people: number; spread: Spread[] }[];
  /** Names of files that hold no answers. */
  refused: string[];
}

interface TextFile {
  name: string;
  text: () => Promise<string>;
}

/** What came back of rounds, by round. A file that was chosen twice counts once. */
export async function readClassAnswers(files: readonly TextFile[]): Promise<ReadAnswers> {
  const refused: string[] = [];
  const known = new Set<string>();
  const byRound = new Map<string, ClassAnswers[]>();
  for (const file of files) {
    const read = parsed(await file.text());
    if (!read) refused.push(file.name);
    else if (!known.has(read.id)) {
      known.add(read.id);
      byRound.set(read.round.id, [...(byRound.get(read.round.id) ?? []), read]);
    }
  }
  const rounds = [...byRound.values()]
    .map((all) => {
      const { round } = all[0];
      return {
        round,
        people: all.length,
        spread: spreadOf(
          round.questions,
          all.map(({ answers }) => answers),
          wheelOf(round.wheel),
        ),
      };
    })
    .sort((one, other) => other.people - one.people);
  return { rounds, refused };
}

function parsed(text: string): ClassAnswers | null {
  try {
    return classAnswersSchema.safeParse(JSON.parse(text)).data ?? null;
  } catch {
    return null;
  }
}
