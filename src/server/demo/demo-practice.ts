import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { z } from 'zod';
import { drillAnswerSchema, MAX_ANSWERS } from '@/contracts/practice';
import { keepAnswers } from '../drills/practice';
import { demoFolder, demoId } from './story';

/** Puts the answers of the demo's student back; those that are there stay as they are. */
export async function seedPractice(): Promise<void> {
  const text = await readFile(
    path.join(/*turbopackIgnore: true*/ demoFolder(), 'practice.json'),
    'utf8',
  );
  const answers = z
    .array(drillAnswerSchema.omit({ id: true }))
    .parse(JSON.parse(text))
    .map((answer) => ({ ...answer, id: demoId('answer', String(answer.at)) }));
  for (let i = 0; i < answers.length; i += MAX_ANSWERS)
    await keepAnswers(answers.slice(i, i + MAX_ANSWERS));
}
