export {
  CopyFault,
  type CopyHead,
  type CopyProblem,
  copyLines,
  packInto,
  readCopy,
  sumOfFile,
  writeCopy,
} from './copyFile.ts';
export { makeDirectory, makeOwnDirectory, removeDurably, renameDurably, syncDirectory, syncTree, writeDurably } from './files.ts';
export {
  type Damage,
  type Gap,
  type Journal,
  type JournalRead,
  type Numbered,
  openJournal,
  putDamageAside,
  readJournal,
  segmentsIn,
} from './journal.ts';
export { type Lock, type LockError, takeLock } from './lock.ts';
