import { z } from 'zod';
import { STAGE_PICTURES, stagesFor } from '@/core/session/stages';
import { findingSchema } from './finding';
import { asOne, asStrokes, byId } from './documents/merge-policy';
import { SESSION_VERSION, sessionUpgrades } from './documents/session-upgrades';
import { readDocument, type VersionedDocument } from './documents/versioned';
import { fraction, idSchema } from './palette';
import { MEDIA, type Medium } from './study';
import { text } from './text';

export const SESSION_MINUTES = { min: 1, max: 24 * 60 } as const;
export const MAX_STAGES = 12;
export const MAX_CLOCK_EVENTS = 2000;
export const MAX_SNAPSHOTS = 200;
export const MAX_NOTES = 500;
export const MAX_LIMITS = 12;
export const MAX_CHECKS = 60;

/** Milliseconds since 1970. */
const at = z.number().int().min(0).max(8.64e15);

const limitSchema = z.object({
  id: idSchema,
  text: text().trim().min(1).max(200),
  /** Said afterwards. */
  kept: z.boolean().nullable(),
});

const stageSchema = z.object({
  id: idSchema,
  name: text().trim().min(1).max(40),
  about: text().max(120),
  /** Of the time, against the other stages'. */
  share: fraction,
  shows: z.enum(STAGE_PICTURES),
});
export type SessionStage = z.infer<typeof stageSchema>;

const clockEventSchema = z.object({
  id: idSchema,
  at,
  is: z.enum(['start', 'pause', 'resume', 'next', 'more', 'end']),
  minutes: z.number().min(1).max(240).optional(),
});

const snapshotSchema = z.object({
  id: idSchema,
  at,
  /** The stage it was taken in; null for one that came later. */
  stage: idSchema.nullable(),
  from: z.enum(['camera', 'file']),
});
export type SessionSnapshot = z.infer<typeof snapshotSchema>;

const noteSchema = z.object({
  id: idSchema,
  at,
  stage: idSchema.nullable(),
  words: text().trim().min(1).max(500),
});

const point = z.tuple([z.number().min(-1).max(2), z.number().min(-1).max(2)]);

/** What a study is held against: what it was painted from, its plan, a variant of its palette, an earlier snapshot, or nothing. */
export const AGAINST = ['model', 'plan', 'variant', 'snapshot', 'itself'] as const;

export const EXCUSES = ['on purpose', 'model has faded'] as const;
export type Excuse = (typeof EXCUSES)[number];

export const GOAL_WORDS = ['met', 'partly', 'not yet'] as const;

/** A check of one snapshot: how it was laid, what was found, and what the person says to it. */
const checkSchema = z.object({
  id: idSchema,
  at,
  snapshot: idSchema,
  against: asOne(z.object({ kind: z.enum(AGAINST), id: idSchema.nullable() })),
  /** Set by hand; null for those that were found. */
  corners: asOne(z.tuple([point, point, point, point]).nullable()),
  white: asOne(z.object({ x: fraction, y: fraction }).nullable()),
  isDigital: z.boolean(),
  /** Null until it is computed, and where the study wasn't found. */
  finding: asOne(findingSchema.nullable()),
  /** Findings that are left out, by what they are called in `finding`. */
  excused: byId(z.array(z.object({ id: z.string().max(80), why: z.enum(EXCUSES) })).max(60)),
  goal: z.enum(GOAL_WORDS).nullable(),
  /** One thing to try next. */
  next: text().max(300),
});
export type SessionCheck = z.infer<typeof checkSchema>;

const withOwnIds = (things: readonly { id: string }[]) =>
  new Set(things.map(({ id }) => id)).size === things.length;
const listOf = <S extends z.ZodType<{ id: string }>>(schema: S, most: number) =>
  z.array(schema).max(most).refine(withOwnIds, 'two of them have the same id');

export const sessionContentSchema = z.object({
  title: text().trim().min(1, 'A session needs a title.').max(200),
  aim: text().trim().min(1, 'A session needs an aim.').max(120),
  second: text().max(120),
  minutes: z.number().min(SESSION_MINUTES.min).max(SESSION_MINUTES.max),
  medium: z.enum(MEDIA),
  ground: text().max(120),
  /** The course that it is held for, and which of that course's studies. */
  course: asOne(z.object({ id: idSchema, study: idSchema }).nullable()),
  limits: byId(listOf(limitSchema, MAX_LIMITS)),
  /** In the order they are painted in. */
  stages: asOne(listOf(stageSchema, MAX_STAGES).min(1)),
  /** What was done with the clock: the time follows from it. */
  clock: asStrokes(listOf(clockEventSchema, MAX_CLOCK_EVENTS)),
  isMuted: z.boolean(),
  notes: byId(listOf(noteSchema, MAX_NOTES)),
  snapshots: byId(listOf(snapshotSchema, MAX_SNAPSHOTS)),
  checks: byId(listOf(checkSchema, MAX_CHECKS)),
});
export type SessionContent = z.infer<typeof sessionContentSchema>;

const storedSessionSchema = sessionContentSchema.extend({ version: z.literal(SESSION_VERSION) });
export type StoredSession = z.infer<typeof storedSessionSchema>;

export const sessionDocuments: VersionedDocument<StoredSession> = {
  schema: storedSessionSchema,
  upgrades: sessionUpgrades,
};

/** A stored session of whatever version. Throws a ZodError or a RangeError as `readDocument` does. */
export function readSession(stored: unknown): SessionContent {
  const { version: _, ...content } = readDocument(sessionDocuments, stored);
  return content;
}

export const storedSession = (content: SessionContent): StoredSession => ({
  ...content,
  version: SESSION_VERSION,
});

/** A session that nothing has been done in, with the stages of its medium. */
export function newSession(title: string, aim: string, medium: Medium): SessionContent {
  return {
    title,
    aim,
    second: '',
    minutes: 60,
    medium,
    ground: '',
    course: null,
    limits: [],
    stages: stagesFor(medium).map((stage, i) => ({ id: `stage-${i + 1}`, ...stage })),
    clock: [],
    isMuted: false,
    notes: [],
    snapshots: [],
    checks: [],
  };
}

export const sessionSchema = z.object({
  id: z.uuid(),
  studyId: z.uuid(),
  revision: z.number().int(),
  content: sessionContentSchema,
  createdAt: z.iso.datetime(),
});
export type Session = z.infer<typeof sessionSchema>;

/** A session with what the Log says of its study. */
export const loggedSessionSchema = sessionSchema.extend({
  study: z.object({
    title: z.string(),
    maker: z.string(),
    pictureId: z.uuid(),
    pictureHash: z.string(),
  }),
});
export type LoggedSession = z.infer<typeof loggedSessionSchema>;

export const beginSessionSchema = z.object({
  id: z.uuid(),
  studyId: z.uuid(),
  content: sessionContentSchema,
});
export const saveSessionSchema = z.object({
  basedOn: z.number().int().min(1),
  content: sessionContentSchema,
});
export const snapshotAnswerSchema = z.object({
  width: z.number().int(),
  height: z.number().int(),
});
export const binnedSessionSchema = z.object({
  id: z.uuid(),
  title: z.string(),
  goneAt: z.iso.datetime(),
});
