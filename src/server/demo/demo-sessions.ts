import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { z } from 'zod';
import { findingSchema } from '@/contracts/finding';
import { newSession, sessionContentSchema, type SessionContent } from '@/contracts/session';
import { MEDIA } from '@/contracts/study';
import { beginSession, getSession, restoreSession, saveSession } from '../sessions/sessions';
import { keepSnapshot } from '../sessions/snapshots';
import { readDemoCourses } from './demo-courses';
import { putBack } from './put-back';
import { demoFolder, demoId } from './story';

const { shape } = sessionContentSchema;
const sittingSchema = z.object({
  id: z.string(),
  picture: z.string(),
  title: z.string(),
  /** When it began, in milliseconds since 1970. */
  at: z.number(),
  aim: shape.aim,
  second: shape.second,
  minutes: shape.minutes,
  medium: z.enum(MEDIA),
  ground: shape.ground,
  allowed: z.array(z.tuple([z.string(), z.boolean()])),
  /** How many snapshots there are. */
  shots: z.number().int(),
  notes: z.array(z.tuple([z.number().int(), z.string()])),
  goal: z.enum(['met', 'partly', 'not yet']),
  next: z.string(),
  /** What the check of the last snapshot found. */
  finding: findingSchema,
});
type StorySitting = z.infer<typeof sittingSchema>;

const MINUTE = 60_000;

/** Puts the demo's sessions back as they were; its studies are there already. */
export async function seedSessions(): Promise<void> {
  const text = await readFile(
    path.join(/*turbopackIgnore: true*/ demoFolder(), 'sessions.json'),
    'utf8',
  );
  const { ofSitting } = await readDemoCourses();
  for (const sitting of z.array(sittingSchema).parse(JSON.parse(text)))
    await seedSession(sitting, ofSitting.get(sitting.id) ?? null);
}

async function seedSession(sitting: StorySitting, course: SessionContent['course']): Promise<void> {
  const id = demoId('session', sitting.id);
  const content = { ...contentOf(sitting), course };
  const was = await putBack(
    () => getSession(id),
    () => restoreSession(id),
    () => beginSession({ id, studyId: demoId('study', sitting.picture), content }),
  );
  for (const { id: snapshot } of content.snapshots) {
    const file = `${sitting.id}-${snapshot.slice('shot-'.length)}.jpg`;
    const bytes = await readFile(
      path.join(/*turbopackIgnore: true*/ demoFolder(), 'studies', file),
    );
    await keepSnapshot(id, snapshot, bytes, file);
  }
  await saveSession(id, was.revision, content);
}

/** The session as it was painted: without pauses, a snapshot at the end of its stages, checked an hour later. */
function contentOf(sitting: StorySitting): SessionContent {
  const { at, minutes, shots, medium } = sitting;
  const plain = newSession(sitting.title, sitting.aim, medium);
  const end = at + minutes * MINUTE;
  const stageAt = (share: number) =>
    plain.stages[Math.min(plain.stages.length - 1, Math.floor(share * plain.stages.length))].id;
  const snapshots = Array.from({ length: shots }, (_, i) => ({
    id: `shot-${i + 1}`,
    at: Math.round(at + (minutes * MINUTE * (i + 1)) / shots) - (i + 1 < shots ? 0 : MINUTE),
    stage: stageAt((i + 1) / shots - 0.01),
    from: 'camera' as const,
  }));
  return {
    ...plain,
    second: sitting.second,
    minutes,
    ground: sitting.ground,
    limits: sitting.allowed.map(([text, kept], i) => ({ id: `limit-${i + 1}`, text, kept })),
    clock: [
      { id: 'start', at, is: 'start' },
      { id: 'end', at: end, is: 'end' },
    ],
    notes: sitting.notes.map(([stage, words], i) => ({
      id: `note-${i + 1}`,
      at: Math.round(at + (minutes * MINUTE * (stage + 0.5)) / plain.stages.length),
      stage: plain.stages[Math.min(stage, plain.stages.length - 1)].id,
      words,
    })),
    snapshots,
    checks: [
      {
        id: 'check-1',
        at: end + 60 * MINUTE,
        snapshot: snapshots[snapshots.length - 1].id,
        against: { kind: 'model', id: null },
        corners: null,
        white: null,
        isDigital: false,
        finding: sitting.finding,
        excused: [],
        goal: sitting.goal,
        next: sitting.next,
      },
    ],
  };
}
