/** Closes a switch over a union: a forgotten variant does not compile, and a value from outside the types throws. */
export const assertNever = (value: never): never => {
  throw new Error(`a variant nobody handles: ${JSON.stringify(value)}`);
};
