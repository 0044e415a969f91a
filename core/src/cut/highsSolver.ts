// The open-source solver HiGHS behind the shape of our own; it is loaded by whoever has it, for every place has its own way to load it.
import type { Solver } from './solver.ts';

/** What we need of the loaded package. */
type Highs = { readonly solve: (program: string, options: Readonly<Record<string, unknown>>) => unknown };

type Reply = {
  readonly Status: string;
  readonly Columns: Readonly<Record<string, { readonly Primal?: number }>>;
  readonly Rows: readonly { readonly Dual?: number }[];
};

/** A solver out of the loaded package. What it cannot read, or gives up, comes back as nothing. */
export const solverFrom =
  (highs: Highs): Solver =>
  (program, seconds) => {
    try {
      const reply = highs.solve(program, { time_limit: seconds, output_flag: false }) as Reply;
      if (reply.Status === 'Infeasible') return 'impossible';
      const columns = Object.fromEntries(Object.entries(reply.Columns).map(([name, { Primal }]) => [name, Primal ?? Number.NaN]));
      if (Object.values(columns).some(Number.isNaN)) return undefined;
      return { columns, duals: reply.Rows.map(({ Dual }) => Dual ?? 0), best: reply.Status === 'Optimal' };
    } catch {
      return undefined;
    }
  };
