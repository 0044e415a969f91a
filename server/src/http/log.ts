/** A line of the log: what happened, and what helps to find out why. Never a document, nor anything from inside one. */
export type LogEntry = {
  readonly level: 'info' | 'warn' | 'error';
  readonly event: string;
  readonly [detail: string]: string | number | boolean | undefined | readonly string[];
};

export type Log = (entry: LogEntry) => void;

/** Where a fault came about, without its words: they may quote what a maker typed, as a database's messages do. */
export const faultDetails = (
  problem: unknown,
): { readonly fault: string; readonly code: string | undefined; readonly frames: readonly string[] } => {
  if (!(problem instanceof Error)) return { fault: typeof problem, code: undefined, frames: [] };
  const cause = problem.cause as { readonly code?: unknown } | undefined;
  const code = (problem as { readonly code?: unknown }).code ?? cause?.code;
  const frames = (problem.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line));
  return {
    fault: problem.name,
    code: code === undefined ? undefined : String(code),
    frames: frames.slice(0, 8).map((line) => line.trim()),
  };
};

const RANK = { info: 0, warn: 1, error: 2 } as const;

/** A log of JSON lines that leaves out what is below `least`. */
export const jsonLog =
  (write: (line: string) => void, least: LogEntry['level'], clock: () => Date): Log =>
  (entry) => {
    if (RANK[entry.level] >= RANK[least]) write(JSON.stringify({ time: clock().toISOString(), ...entry }));
  };
