export {
  CopyFault,
  type CopyProblem,
  copyLines,
  packInto,
  readCopy,
  sumOfFile,
  writeCopy,
} from './copyFile.ts';
export { makeDirectory, makeOwnDirectory, removeDurably, renameDurably, syncTree, writeDurably } from './files.ts';
export {
  type Journal,
  type JournalRead,
  type Numbered,
  openJournal,
  putDamageAside,
  readJournal,
  segmentsIn,
} from './journal.ts';
export { takeLock } from './lock.ts';
