/** One waiting line: work is done one after the other, and at most so much of it waits or is under way. Null where the line is full. */
export const waitingLine = (most: number): (<T>(work: () => Promise<T>) => Promise<T> | null) => {
  let waiting = 0;
  let last: Promise<unknown> = Promise.resolve();
  return (work) => {
    if (waiting >= most) return null;
    waiting += 1;
    const done = last.then(work).finally(() => {
      waiting -= 1;
    });
    // What goes wrong with one is not the next one's.
    last = done.catch(() => undefined);
    return done;
  };
};
