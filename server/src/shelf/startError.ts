/** Why the application does not start, in words for whoever started it, with a way on. Anything else that is thrown is a fault, whose words may
 *  quote what a maker typed, and is never shown. */
export class StartError extends Error {}

const REASONS: Readonly<Record<string, string>> = {
  EACCES: 'This account may not read or write there.\nGive it the right to, or set PARLOR_DATA to a directory of its own.',
  EPERM: 'This account may not read or write there.\nGive it the right to, or set PARLOR_DATA to a directory of its own.',
  EROFS: 'The disk can only be read.\nMake it writable, or set PARLOR_DATA to a directory on another disk.',
  ENOSPC: 'The disk is full.\nMake room (a hundred megabytes will do), and start again.',
  EDQUOT: 'The account has used up its share of the disk.\nMake room, and start again.',
  ENOTDIR: 'A file stands where a directory should be.\nMove it away, or set PARLOR_DATA to a directory.',
  EEXIST: 'A file stands where a directory should be.\nMove it away, or set PARLOR_DATA to a directory.',
  ENOENT: 'That directory cannot be made there.\nSet PARLOR_DATA to a directory on a disk.',
  EMFILE: 'The system lets this process open no more files.\nRaise the limit (ulimit -n), and start again.',
  EIO: 'The disk answers with errors.\nCopy the directory to another disk, and set PARLOR_DATA to it.',
};

/** Says in words what the system says of a directory; faults of other kinds are given back as they are. */
export const startErrorFor = (directory: string, problem: unknown): unknown => {
  const code = (problem as { readonly code?: unknown } | null)?.code;
  const reason = typeof code === 'string' ? REASONS[code] : undefined;
  return problem instanceof StartError || !reason
    ? problem
    : new StartError(`The data directory ${directory} cannot be used (${code}).\n${reason}`, { cause: problem });
};
