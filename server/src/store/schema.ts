import { index, integer, jsonb, pgTable, text, timestamp } from 'drizzle-orm/pg-core';

/** A set: its document as it was last saved, and the number of that save. `deletedAt` hides it without losing it. */
export const sets = pgTable(
  'sets',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    about: text('about').notNull(),
    revision: integer('revision').notNull(),
    document: jsonb('document').notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
    updatedAt: timestamp('updated_at', { withTimezone: true }).notNull().defaultNow(),
    deletedAt: timestamp('deleted_at', { withTimezone: true }),
  },
  (table) => [index('sets_by_update').on(table.updatedAt)],
);
