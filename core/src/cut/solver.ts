/** What a solver makes of a program: the value of each column, and the dual of each row in the order in which they stand there. Nothing at all, when there is no answer or none was found in time. */
export type Solved = {
  readonly columns: Readonly<Record<string, number>>;
  readonly duals: readonly number[];
  /** True when nothing better is possible; false when the time was up first. */
  readonly best: boolean;
};

/** Solves a linear or whole-number program given in LP format within so many seconds; 'impossible' when it is proven that there is no answer. */
export type Solver = (program: string, seconds: number) => Solved | 'impossible' | undefined;
