import { doublePrecision, index, jsonb, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import type { Oklab } from '@/core/colour/oklab';
import type { Outcome } from '@/core/drills/score';
import { moment } from './schema';

/** Answers of rounds of practice. What comes next, and how an eye reads, follow from these alone. */
export const drillAnswer = pgTable(
  'drill_answer',
  {
    id: uuid('id').primaryKey(),
    at: moment('at').notNull(),
    kind: text('kind').notNull(),
    colour: jsonb('colour').$type<Oklab>().notNull(),
    difficulty: doublePrecision('difficulty').notNull(),
    outcome: jsonb('outcome').$type<Outcome>().notNull(),
  },
  (table) => [index('drill_answer_at').on(table.at)],
);
