import { sql } from 'drizzle-orm';
import {
  boolean,
  customType,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  smallint,
  text,
  uuid,
} from 'drizzle-orm/pg-core';
import type { Provenance } from '@/core/formats/library-file';
import type { MediumRecipe } from '@/core/mixing/medium-recipe';
import type { SwatchRecipe } from '@/core/mixing/swatch-recipe';
import { DEFAULT_TARGET, type Role } from '@/core/palette/proportion';
import type { LibraryContent, Swatch } from '@/contracts/library';
import type { LibrarySearch } from '@/contracts/library-search';
import type { Follows, PaletteSet, SwatchChange } from '@/contracts/palette';
import { moment, now, study } from './schema';

/** Words to be found by, as `words.ts` makes them: our own, so that every server parts and folds them alike. */
const wordVector = customType<{ data: readonly string[]; driverData: string }>({
  dataType: () => 'tsvector',
  toDriver: (words) => sql`array_to_tsvector(string_to_array(${words.join(' ')}, ' '))`,
});

export const folder = pgTable('folder', {
  id: uuid('id').primaryKey(),
  name: text('name').notNull(),
  place: doublePrecision('place').notNull(),
});

export const library = pgTable(
  'library',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    name: text('name').notNull(),
    note: text('note').notNull(),
    revision: integer('revision').notNull(),
    studyId: uuid('study_id').references(() => study.id),
    /** Ladders and harmonies that swatches follow, and what main, second and accent are to take. */
    sets: jsonb('sets').$type<PaletteSet[]>().notNull().default([]),
    target: jsonb('target').$type<LibraryContent['target']>().notNull().default(DEFAULT_TARGET),
    folderId: uuid('folder_id').references(() => folder.id, { onDelete: 'set null' }),
    /** Where it stands in the person's own order, the least first. */
    place: doublePrecision('place').notNull().default(0),
    favourite: boolean('favourite').notNull().default(false),
    /** Who made the picture of its study; repeated here, with the study's title among `words`, to be found by. */
    maker: text('maker').notNull().default(''),
    words: wordVector('words'),
    /** The version of what its rows are found by; older ones are made anew when the server starts. */
    indexed: integer('indexed').notNull().default(0),
    createdAt: moment('created_at').notNull().default(now),
    updatedAt: moment('updated_at').notNull().default(now),
    /** In the bin since. */
    deletedAt: moment('deleted_at'),
  },
  (table) => [
    index('library_updated').on(table.updatedAt),
    index('library_place').on(table.folderId, table.place),
    index('library_study').on(table.studyId),
    index('library_maker').on(table.maker),
    index('library_words').using('gin', table.words),
  ],
);

/** The history of a library: its state at the end of each sitting of changes. */
export const libraryRevision = pgTable(
  'library_revision',
  {
    ownerId: uuid('library_id')
      .notNull()
      .references(() => library.id, { onDelete: 'cascade' }),
    revision: integer('revision').notNull(),
    /** Of whatever version it was stored in: read by `readLibraryContent`. */
    content: jsonb('content').$type<unknown>().notNull(),
    /** When the sitting began, and when it was last saved in. */
    beganAt: moment('began_at').notNull().default(now),
    savedAt: moment('saved_at').notNull().default(now),
  },
  (table) => [primaryKey({ columns: [table.ownerId, table.revision] })],
);

/** Colours are OKLab at full precision; hex is made where it is shown. What follows from a colour is kept beside it to be searched. */
export const swatch = pgTable(
  'swatch',
  {
    libraryId: uuid('library_id')
      .notNull()
      .references(() => library.id, { onDelete: 'cascade' }),
    id: text('id').notNull(),
    position: integer('position').notNull(),
    name: text('name').notNull(),
    otherNames: jsonb('other_names').$type<string[]>().notNull().default([]),
    note: text('note').notNull(),
    role: text('role').$type<Role>(),
    L: doublePrecision('l').notNull(),
    a: doublePrecision('a').notNull(),
    b: doublePrecision('b').notNull(),
    share: doublePrecision('share'),
    provenance: jsonb('provenance').$type<Provenance>(),
    follows: jsonb('follows').$type<Follows>(),
    change: jsonb('change').$type<SwatchChange>(),
    recipe: jsonb('recipe').$type<SwatchRecipe>(),
    mediumRecipes: jsonb('medium_recipes').$type<MediumRecipe[]>().notNull().default([]),
    /** What it was merged from. */
    parts: jsonb('parts').$type<Swatch['parts']>().notNull().default([]),
    /** Munsell value, OKLCH chroma, temperature, CIELAB. */
    value: doublePrecision('value').notNull().default(0),
    chroma: doublePrecision('chroma').notNull().default(0),
    warmth: doublePrecision('warmth').notNull().default(0),
    labL: doublePrecision('lab_l').notNull().default(0),
    labA: doublePrecision('lab_a').notNull().default(0),
    labB: doublePrecision('lab_b').notNull().default(0),
    /** The family's place on each wheel; null for a neutral. */
    painters: smallint('painters'),
    screen: smallint('screen'),
    even: smallint('even'),
    /** Its own words, and these with its library's, so that one index finds it by both. */
    ownWords: wordVector('own_words'),
    words: wordVector('words'),
  },
  (table) => [
    primaryKey({ columns: [table.libraryId, table.id] }),
    index('swatch_value').on(table.value),
    index('swatch_chroma').on(table.chroma),
    index('swatch_warmth').on(table.warmth),
    index('swatch_lab_l').on(table.labL),
    index('swatch_painters').on(table.painters),
    index('swatch_screen').on(table.screen),
    index('swatch_even').on(table.even),
    index('swatch_words').using('gin', table.words),
  ],
);

export const tag = pgTable(
  'tag',
  {
    libraryId: uuid('library_id')
      .notNull()
      .references(() => library.id, { onDelete: 'cascade' }),
    name: text('name').notNull(),
    position: integer('position').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.libraryId, table.name] }),
    index('tag_name').on(table.name),
  ],
);

export const savedSearch = pgTable('saved_search', {
  id: uuid('id').primaryKey(),
  name: text('name').notNull(),
  search: jsonb('search').$type<LibrarySearch>().notNull(),
  createdAt: moment('created_at').notNull().default(now),
});
