import { customType, index, integer, jsonb, pgTable, primaryKey, text, timestamp } from 'drizzle-orm/pg-core';

const moment = (name: string) => timestamp(name, { withTimezone: true });

/** A set: its newest save by number, and the newest document that was kept whole, which is that of `documentRevision`; what was saved since stands
 *  in the history as edits. `deletedAt` hides it without losing it; `awayDay` is the counted day on
 *  which that was, for clocks may be wrong. */
export const sets = pgTable(
  'sets',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    about: text('about').notNull(),
    revision: integer('revision').notNull(),
    document: jsonb('document').notNull(),
    documentRevision: integer('document_revision').notNull(),
    createdAt: moment('created_at').notNull().defaultNow(),
    updatedAt: moment('updated_at').notNull().defaultNow(),
    deletedAt: moment('deleted_at'),
    awayDay: integer('away_day'),
  },
  (table) => [index('sets_by_update').on(table.updatedAt)],
);

/** Every save of a set: when, what changed in words, and the edits that it was, or the document whole, or both. */
export const revisions = pgTable(
  'revisions',
  {
    setId: text('set_id')
      .notNull()
      .references(() => sets.id, { onDelete: 'cascade' }),
    revision: integer('revision').notNull(),
    savedAt: moment('saved_at').notNull().defaultNow(),
    words: text('words').notNull(),
    document: jsonb('document'),
    edits: jsonb('edits'),
  },
  (table) => [primaryKey({ columns: [table.setId, table.revision] })],
);

/** What the application notes about itself: how far the journal has come, the salt of sessions, that demo sets were laid out, the days that were counted. */
export const marks = pgTable('marks', { name: text('name').primaryKey(), value: text('value').notNull() });

/** A maker's own presets: pieces to start others from. */
export const presets = pgTable('presets', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  piece: jsonb('piece').notNull(),
  createdAt: moment('created_at').notNull().defaultNow(),
});

const bytes = customType<{ data: Uint8Array; driverData: Uint8Array }>({ dataType: () => 'bytea' });

/** Pictures that a maker brought in, under the sum of what is kept: upright, JPEG or PNG. They are never changed. The bytes stand in files beside
 *  the built-in database (then they are null here), and here on a database server. `unusedDay` is the counted day on which no set named it any
 *  more. */
export const pictures = pgTable('pictures', {
  id: text('id').primaryKey(),
  mime: text('mime').notNull(),
  width: integer('width').notNull(),
  height: integer('height').notNull(),
  size: integer('size').notNull().default(0),
  bytes: bytes('bytes'),
  createdAt: moment('created_at').notNull().defaultNow(),
  unusedDay: integer('unused_day'),
});

/** Who is inside: the sum of each ticket, never the ticket. `phrase` is the mark of the pass phrase that opened the door. */
export const sessions = pgTable('sessions', {
  id: text('id').primaryKey(),
  phrase: text('phrase').notNull(),
  createdAt: moment('created_at').notNull(),
  seenAt: moment('seen_at').notNull(),
});
