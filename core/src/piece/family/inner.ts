// Decisions about the members of a piece's lists.
import { type Field, isFieldShown } from './field.ts';

/** The fields of each member of a list that mean something for it, with the way to it from the piece; `word` is what a member is called. */
export const fieldsWithin = (list: string, word: string, members: readonly object[], fields: readonly Field[]): readonly Field[] =>
  members.flatMap((member, index) =>
    fields
      .filter((field) => isFieldShown(field, member))
      .map((field) => ({ ...field, path: [list, String(index), ...field.path], label: `${field.label}, ${word} ${index + 1}` })),
  );
