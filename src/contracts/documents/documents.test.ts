import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import type { z } from 'zod';
import {
  libraryContentSchema,
  libraryDocuments,
  readLibraryContent,
  storedLibrary,
} from '../library';
import { readSession, sessionContentSchema, sessionDocuments, storedSession } from '../session';
import { patternContentSchema, patternDocuments, readPattern, storedPattern } from '../pattern';
import { coursesContentSchema, coursesDocuments, readCourses, storedCourses } from '../courses';
import { readShelf, shelfContentSchema, shelfDocuments, storedShelf } from '../shelf';
import { newDocument, readStudyDocument, studyDocuments, studyDocumentSchema } from '../study';
import { mergePolicyOf, type MergePolicy } from './merge-policy';
import { newestVersion, readDocument, type VersionedDocument } from './versioned';

const FIXTURES = path.join(process.cwd(), 'src/contracts/documents/fixtures');
const fixture = (name: string): unknown =>
  JSON.parse(readFileSync(path.join(FIXTURES, name), 'utf8'));
const names = readdirSync(FIXTURES).filter((name) => name.endsWith('.json'));

/** The policy at every key of a document, a line each. */
function walk(policy: MergePolicy, at = ''): string[] {
  switch (policy.rule) {
    case 'fields':
      return Object.entries(policy.fields).flatMap(([key, field]) =>
        walk(field, at ? `${at}.${key}` : key),
      );
    case 'byId':
      return [`${at}: byId`, ...walk(policy.entry, `${at}[]`)];
    case 'union':
      return Object.entries(policy.options).flatMap(([kind, option]) =>
        walk(option, `${at}<${kind}>`),
      );
    default:
      return [`${at}: ${policy.rule}`];
  }
}

describe('how documents are merged', () => {
  it('is said of every key of a study', () => {
    expect(walk(mergePolicyOf(studyDocumentSchema))).toEqual([
      'version: one',
      'title: one',
      'maker: one',
      'source: one',
      'rights: one',
      'kind: one',
      'aims: one',
      'framing: one',
      'neutral: one',
      'values: one',
      'lightAndShadow.corrections: strokes',
      'depth.marks: strokes',
      'hidden.push: one',
      'hidden.kept: one',
      'hidden.parts: strokes',
      'hidden.only: one',
      'hidden.looks: byId',
      'hidden.looks[].id: one',
      'hidden.looks[].name: one',
      'hidden.looks[].push: one',
      'use.transfer: one',
      'use.mood: one',
      'use.whatIf: one',
      'use.key: one',
      'use.parts: strokes',
      'use.variants: byId',
      'use.variants[].id: one',
      'use.variants[].name: one',
      'use.variants[].made: one',
      'medium: one',
      'palette.count: one',
      'palette.swatches: byId',
      'palette.swatches[].id: one',
      'palette.swatches[].name: one',
      'palette.swatches[].note: one',
      'palette.swatches[].colour: one',
      'palette.swatches[].share: derived',
      'palette.swatches[].locked: one',
      'palette.swatches[].origin: one',
      'palette.swatches[].role: one',
      'palette.swatches[].follows: one',
      'palette.swatches[].components: one',
      'palette.swatches[].change: one',
      'palette.swatches[].recipe: one',
      'palette.swatches[].mediumRecipes: one',
      'palette.swatches[].area: one',
      'palette.swatches[].spread: one',
      'palette.swatches[].parts: one',
      'palette.lean: one',
      'palette.region: one',
      'palette.target: one',
      'palette.sets: byId',
      'palette.sets[]<ladder>.id: one',
      'palette.sets[]<ladder>.kind: one',
      'palette.sets[]<ladder>.colour: one',
      'palette.sets[]<ladder>.settings: one',
      'palette.sets[]<harmony>.id: one',
      'palette.sets[]<harmony>.kind: one',
      'palette.sets[]<harmony>.colour: one',
      'palette.sets[]<harmony>.wheel: one',
      'palette.sets[]<harmony>.settings: one',
    ]);
  });

  it('is said of every key of a library', () => {
    expect(walk(mergePolicyOf(libraryContentSchema))).toEqual([
      'name: one',
      'note: one',
      'tags: one',
      'swatches: byId',
      'swatches[].id: one',
      'swatches[].name: one',
      'swatches[].otherNames: one',
      'swatches[].note: one',
      'swatches[].role: one',
      'swatches[].colour: one',
      'swatches[].share: one',
      'swatches[].provenance: one',
      'swatches[].follows: one',
      'swatches[].change: one',
      'swatches[].recipe: one',
      'swatches[].mediumRecipes: one',
      'swatches[].parts: one',
      'sets: byId',
      'sets[]<ladder>.id: one',
      'sets[]<ladder>.kind: one',
      'sets[]<ladder>.colour: one',
      'sets[]<ladder>.settings: one',
      'sets[]<harmony>.id: one',
      'sets[]<harmony>.kind: one',
      'sets[]<harmony>.colour: one',
      'sets[]<harmony>.wheel: one',
      'sets[]<harmony>.settings: one',
      'target: one',
    ]);
  });

  it('is said of every key of a pattern', () => {
    expect(walk(mergePolicyOf(patternContentSchema))).toEqual([
      'title: one',
      'note: one',
      'drawing: one',
      'threshold: one',
      'merges: byId',
      'merges[].id: one',
      'merges[].into: one',
      'sources: byId',
      'sources[].id: one',
      'sources[].title: one',
      'sources[].kind: one',
      'sources[].used: one',
      'sources[].colours: one',
      'choice: one',
      'colourways: byId',
      'colourways[].id: one',
      'colourways[].name: one',
      'colourways[].favourite: one',
      'colourways[].made: one',
      'cloth: one',
    ]);
  });

  it('is said of every key of a session', () => {
    expect(walk(mergePolicyOf(sessionContentSchema))).toEqual([
      'title: one',
      'aim: one',
      'second: one',
      'minutes: one',
      'medium: one',
      'ground: one',
      'course: one',
      'limits: byId',
      'limits[].id: one',
      'limits[].text: one',
      'limits[].kept: one',
      'stages: one',
      'clock: strokes',
      'isMuted: one',
      'notes: byId',
      'notes[].id: one',
      'notes[].at: one',
      'notes[].stage: one',
      'notes[].words: one',
      'snapshots: byId',
      'snapshots[].id: one',
      'snapshots[].at: one',
      'snapshots[].stage: one',
      'snapshots[].from: one',
      'checks: byId',
      'checks[].id: one',
      'checks[].at: one',
      'checks[].snapshot: one',
      'checks[].against: one',
      'checks[].corners: one',
      'checks[].white: one',
      'checks[].isDigital: one',
      'checks[].finding: one',
      'checks[].excused: byId',
      'checks[].excused[].id: one',
      'checks[].excused[].why: one',
      'checks[].goal: one',
      'checks[].next: one',
    ]);
  });

  it('is said of every key of the courses', () => {
    expect(walk(mergePolicyOf(coursesContentSchema))).toEqual([
      'courses: byId',
      'courses[].id: one',
      'courses[].title: one',
      'courses[].aim: one',
      'courses[].minutes: one',
      'courses[].medium: one',
      'courses[].allowed: one',
      'courses[].studies: byId',
      'courses[].studies[].id: one',
      'courses[].studies[].studyId: one',
      'courses[].studies[].words: one',
      'courses[].studies[].promised: one',
      'courses[].studies[].isLeftOut: one',
    ]);
  });

  it('is said of every key of a shelf', () => {
    expect(walk(mergePolicyOf(shelfContentSchema))).toEqual([
      'owner: one',
      'tubes: byId',
      'tubes[].id: one',
      'tubes[].name: one',
      'tubes[].maker: one',
      'tubes[].number: one',
      'tubes[].pigments: one',
      'tubes[].strength: one',
      'tubes[].opacity: one',
      'tubes[].standing: one',
      'tubes[].pricePerMl: one',
      'tubes[].card: one',
      'bin: byId',
      'bin[].id: one',
      'bin[].name: one',
      'bin[].maker: one',
      'bin[].number: one',
      'bin[].pigments: one',
      'bin[].strength: one',
      'bin[].opacity: one',
      'bin[].standing: one',
      'bin[].pricePerMl: one',
      'bin[].card: one',
      'bin[].removedAt: one',
      'sticks: byId',
      'sticks[].id: one',
      'sticks[].name: one',
      'sticks[].set: one',
      'sticks[].number: one',
      'sticks[].colour: one',
      'sticks[].standing: one',
      'pencils: byId',
      'pencils[].id: one',
      'pencils[].name: one',
      'pencils[].set: one',
      'pencils[].number: one',
      'pencils[].colour: one',
      'pencils[].standing: one',
      'inks: byId',
      'inks[].id: one',
      'inks[].name: one',
      'inks[].set: one',
      'inks[].number: one',
      'inks[].colour: one',
      'inks[].standing: one',
      'tries: byId',
      'tries[].id: one',
      'tries[].triedAt: one',
      'tries[].name: one',
      'tries[].parts: one',
      'tries[].target: one',
      'tries[].result: one',
      'tries[].note: one',
      'patches: byId',
      'patches[].id: one',
      'patches[].triedAt: one',
      'patches[].name: one',
      'patches[].target: one',
      'patches[].recipe: one',
      'patches[].note: one',
    ]);
  });
});

describe('documents of every version', () => {
  it.each(names.filter((name) => name.startsWith('study-')))('are opened: %s', (name) => {
    const stored = fixture(name) as { title: string; palette: { swatches: { name: string }[] } };
    const before = JSON.stringify(stored);
    const document = readStudyDocument(stored);
    expect(document.version).toBe(newestVersion(studyDocuments));
    expect(document.title).toBe(stored.title);
    expect(document.palette.swatches.map((swatch) => swatch.name)).toEqual(
      stored.palette.swatches.map((swatch) => swatch.name),
    );
    // Once up to date it stays so, and what was stored is left as it was.
    expect(readStudyDocument(document)).toEqual(document);
    expect(JSON.stringify(stored)).toBe(before);
  });

  it.each(names.filter((name) => name.startsWith('library-')))('are opened: %s', (name) => {
    const stored = fixture(name) as { name: string; swatches: { id: string }[] };
    const content = readLibraryContent(stored);
    expect(content.name).toBe(stored.name);
    expect(content.swatches.map(({ id }) => id)).toEqual(stored.swatches.map(({ id }) => id));
    expect(readLibraryContent(storedLibrary(content))).toEqual(content);
  });

  it.each(names.filter((name) => name.startsWith('shelf-')))('are opened: %s', (name) => {
    const stored = fixture(name) as { tubes: { id: string }[] };
    const content = readShelf(stored);
    expect(content.tubes.map(({ id }) => id)).toEqual(stored.tubes.map(({ id }) => id));
    expect(readShelf(storedShelf(content))).toEqual(content);
  });

  it.each(names.filter((name) => name.startsWith('pattern-')))('are opened: %s', (name) => {
    const stored = fixture(name) as { title: string; colourways: { id: string }[] };
    const content = readPattern(stored);
    expect(content.title).toBe(stored.title);
    expect(content.colourways.map(({ id }) => id)).toEqual(stored.colourways.map(({ id }) => id));
    expect(content.colourways.length).toBeGreaterThan(0);
    expect(readPattern(storedPattern(content))).toEqual(content);
  });

  it.each(names.filter((name) => name.startsWith('session-')))('are opened: %s', (name) => {
    const stored = fixture(name) as { title: string; clock: unknown[]; checks: unknown[] };
    const content = readSession(stored);
    expect(content.title).toBe(stored.title);
    expect(content.clock).toEqual(stored.clock);
    expect(content.checks).toEqual(stored.checks);
    expect(readSession(storedSession(content))).toEqual(content);
  });

  it.each(names.filter((name) => name.startsWith('courses-')))('are opened: %s', (name) => {
    const stored = fixture(name) as { courses: { id: string; studies: unknown[] }[] };
    const content = readCourses(stored);
    expect(content.courses.map(({ id }) => id)).toEqual(stored.courses.map(({ id }) => id));
    expect(content.courses[0].studies).toEqual(stored.courses[0].studies);
    expect(readCourses(storedCourses(content))).toEqual(content);
  });

  it('are kept of each version there was', () => {
    const kinds: [string, VersionedDocument<unknown>][] = [
      ['study', studyDocuments],
      ['library', libraryDocuments as VersionedDocument<unknown>],
      ['shelf', shelfDocuments as VersionedDocument<unknown>],
      ['courses', coursesDocuments as VersionedDocument<unknown>],
      ['pattern', patternDocuments as VersionedDocument<unknown>],
      ['session', sessionDocuments as VersionedDocument<unknown>],
    ];
    for (const [kind, documents] of kinds)
      for (let version = 1; version <= newestVersion(documents); version++)
        expect(names.some((name) => name.startsWith(`${kind}-${version}-`))).toBe(true);
  });

  it('get what each field was worth when it came, not what is the default now', () => {
    const document = readStudyDocument(fixture('study-1-first.json'));
    expect(document.values).toMatchObject({ thresholds: [], squint: 0.008 });
    expect(document.hidden.push).toEqual({ lift: 0, quiet: 0, spread: 0.5, cast: 'global' });
    expect(document.palette.swatches.every(({ role, parts }) => role === null && !parts[0])).toBe(
      true,
    );
  });

  it('are refused where they are not what they should be, or newer than is known', () => {
    expect(() => readStudyDocument({ version: 1, title: 'x' })).toThrow();
    expect(() => readStudyDocument(null)).toThrow();
    expect(() => readStudyDocument('a study')).toThrow();
    expect(() => readStudyDocument({ ...newDocument('x'), version: 99 })).toThrow(/newest known/);
    expect(() => readLibraryContent({ name: 'x' })).toThrow();
  });

  it('go through every step between their version and the newest', () => {
    const steps: VersionedDocument<Record<string, unknown>> = {
      schema: { parse: (value: unknown) => value } as z.ZodType<Record<string, unknown>>,
      upgrades: [
        (one) => ({ ...one, a: 1 }),
        (one) => ({ ...one, b: Number(one.a) + 1 }),
        (one) => ({ ...one, c: Number(one.b) + 1 }),
      ],
    };
    expect(readDocument(steps, {})).toEqual({ version: 4, a: 1, b: 2, c: 3 });
    expect(readDocument(steps, { version: 3, b: 7 })).toEqual({ version: 4, b: 7, c: 8 });
    expect(readDocument(steps, { version: 4, c: 9 })).toEqual({ version: 4, c: 9 });
  });
});
