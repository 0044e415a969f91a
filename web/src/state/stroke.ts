// A stroke is what one hand does without lifting: all the changes made in one field from the moment it is entered.

let stroke: string | null = null;
let count = 0;

/** A field is entered: what is now changed in it is one step of undo. */
export const strokeBegins = (): void => {
  count += 1;
  stroke = `stroke ${count}`;
};

export const strokeEnds = (): void => {
  stroke = null;
};

/** The stroke that an edit made just now belongs to. */
export const strokeNow = (): { readonly stroke: string } | Record<string, never> => (stroke === null ? {} : { stroke });
