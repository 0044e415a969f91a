// A group is what one hand does without lifting: all the changes made in one field from the moment it is entered.

let group: string | null = null;
let count = 0;

/** A field is entered: what is now changed in it is one step of undo. */
export const undoGroupBegins = (): void => {
  count += 1;
  group = `group ${count}`;
};

export const undoGroupEnds = (): void => {
  group = null;
};

/** The group that an edit made just now belongs to. */
export const undoGroupNow = (): { readonly group: string } | Record<string, never> => (group === null ? {} : { group });
