// A disk that remembers what was synced. Every write, sync and name that a program gives through Node's file functions is recorded; from the record
// states are made as a power cut could leave them at any moment: of what was not synced, any part is lost, any part is there, writes are torn at
// 512 bytes. Names are kept in the order in which they were given, of each directory by itself or of all together.
import fs from 'node:fs';
import { syncBuiltinESMExports } from 'node:module';
import { dirname, join, relative, resolve } from 'node:path';

type Op =
  | { readonly kind: 'write'; readonly file: number; readonly at: number; readonly bytes: Buffer }
  | { readonly kind: 'cut'; readonly file: number; readonly size: number }
  | { readonly kind: 'sync'; readonly file: number; readonly path: string }
  | { readonly kind: 'sync names'; readonly directory: string }
  | { readonly kind: 'name'; readonly path: string; readonly file: number | 'directory' }
  | { readonly kind: 'unname'; readonly path: string }
  | { readonly kind: 'rename'; readonly from: string; readonly to: string };

/** What was recorded below a directory, and how to go on. */
export type Record = { readonly ops: readonly Op[]; readonly now: () => number; readonly stop: () => void };

const real = { ...fs };

/** Records everything that is done below `root` by functions of `node:fs` that wait. */
export const recordDisk = (root: string): Record => {
  const ops: Op[] = [];
  const names = new Map<string, number>();
  const open = new Map<number, { readonly file: number | null; readonly path: string; at: number; readonly append: boolean }>();
  let files = 0;
  const inside = (path: unknown): string | null => {
    const full = resolve(String(path));
    return full === root || full.startsWith(`${root}/`) ? full : null;
  };
  const name = (path: string): number => {
    files += 1;
    names.set(path, files);
    ops.push({ kind: 'name', path, file: files });
    return files;
  };
  const wrote = (file: number, at: number, bytes: Buffer) => ops.push({ kind: 'write', file, at, bytes: Buffer.from(bytes) });
  /** Names below a directory that is renamed or removed. */
  const below = (path: string) => [...names.keys()].filter((each) => each.startsWith(`${path}/`));
  const unname = (path: string) => {
    for (const each of below(path).reverse()) {
      names.delete(each);
      ops.push({ kind: 'unname', path: each });
    }
    names.delete(path);
    ops.push({ kind: 'unname', path });
  };
  const tree = (path: string): void => {
    if (real.statSync(path).isDirectory()) {
      ops.push({ kind: 'name', path, file: 'directory' });
      for (const each of real.readdirSync(path)) tree(join(path, each));
    } else wrote(name(path), 0, real.readFileSync(path));
  };
  const patched = {
    openSync: (path: fs.PathLike, flags: fs.OpenMode = 'r', mode?: fs.Mode) => {
      const full = inside(path);
      const there = full !== null && real.existsSync(full);
      const before = there && full !== null ? real.statSync(full) : null;
      const handle = real.openSync(path, flags, mode);
      if (full === null) return handle;
      const isDirectory = before?.isDirectory() === true;
      const file = isDirectory ? null : (names.get(full) ?? name(full));
      const numeric = typeof flags === 'number' ? flags : 0;
      const cut = (flags === 'w' || flags === 'w+' || (numeric & fs.constants.O_TRUNC) !== 0) && (before?.size ?? 0) > 0;
      if (cut && file !== null) ops.push({ kind: 'cut', file, size: 0 });
      open.set(handle, { file, path: full, at: 0, append: flags === 'a' || (numeric & fs.constants.O_APPEND) !== 0 });
      return handle;
    },
    closeSync: (handle: number) => {
      open.delete(handle);
      real.closeSync(handle);
    },
    writeSync: (handle: number, data: NodeJS.ArrayBufferView, from?: number | null, length?: number | null, position?: number | null) => {
      const known = open.get(handle);
      const before = known?.append ? real.fstatSync(handle).size : 0;
      const written = real.writeSync(handle, data, from, length, position);
      if (known && known.file !== null) {
        const at = known.append ? before : (position ?? known.at);
        const bytes = Buffer.from(data.buffer, data.byteOffset + (from ?? 0), written);
        wrote(known.file, Number(at), bytes);
        if (position === undefined || position === null) known.at = Number(at) + written;
      }
      return written;
    },
    fsyncSync: (handle: number) => {
      const known = open.get(handle);
      if (known)
        ops.push(
          known.file === null ? { kind: 'sync names', directory: known.path } : { kind: 'sync', file: known.file, path: known.path },
        );
    },
    ftruncateSync: (handle: number, size = 0) => {
      const known = open.get(handle);
      real.ftruncateSync(handle, size);
      if (known && known.file !== null) ops.push({ kind: 'cut', file: known.file, size: size ?? 0 });
    },
    truncateSync: (path: fs.PathLike, size = 0) => {
      real.truncateSync(path, size);
      const full = inside(path);
      if (full !== null) ops.push({ kind: 'cut', file: names.get(full) ?? name(full), size: size ?? 0 });
    },
    renameSync: (from: fs.PathLike, to: fs.PathLike) => {
      real.renameSync(from, to);
      const [a, b] = [inside(from), inside(to)];
      if (a === null || b === null) return;
      for (const path of [a, ...below(a)]) {
        const file = names.get(path);
        names.delete(path);
        if (file !== undefined) names.set(join(b, relative(a, path)), file);
      }
      ops.push({ kind: 'rename', from: a, to: b });
    },
    linkSync: (from: fs.PathLike, to: fs.PathLike) => {
      real.linkSync(from, to);
      const [a, b] = [inside(from), inside(to)];
      const file = a === null ? undefined : names.get(a);
      if (b === null || file === undefined) return;
      names.set(b, file);
      ops.push({ kind: 'name', path: b, file });
    },
    unlinkSync: (path: fs.PathLike) => {
      real.unlinkSync(path);
      const full = inside(path);
      if (full !== null) unname(full);
    },
    rmSync: (path: fs.PathLike, options?: fs.RmOptions) => {
      const full = inside(path);
      const there = full !== null && real.existsSync(full);
      real.rmSync(path, options);
      if (there && full !== null) unname(full);
    },
    mkdirSync: (path: fs.PathLike, options?: fs.MakeDirectoryOptions) => {
      const made = real.mkdirSync(path, options);
      const full = inside(path);
      if (full !== null) ops.push({ kind: 'name', path: full, file: 'directory' });
      return made;
    },
    rmdirSync: (path: fs.PathLike) => {
      real.rmdirSync(path);
      const full = inside(path);
      if (full !== null) unname(full);
    },
    writeFileSync: (path: fs.PathOrFileDescriptor, data: string | NodeJS.ArrayBufferView, options?: fs.WriteFileOptions) => {
      const full = typeof path === 'number' ? null : inside(path);
      const known = full !== null && real.existsSync(full);
      real.writeFileSync(path, data, options);
      if (full === null) return;
      const file = known ? (names.get(full) ?? name(full)) : name(full);
      if (known) ops.push({ kind: 'cut', file, size: 0 });
      wrote(file, 0, real.readFileSync(full));
    },
    cpSync: (from: string, to: string, options?: fs.CopySyncOptions) => {
      real.cpSync(from, to, options);
      const full = inside(to);
      if (full !== null) tree(full);
    },
  };
  Object.assign(fs, patched);
  syncBuiltinESMExports();
  return {
    ops,
    now: () => ops.length,
    stop: () => {
      for (const key of Object.keys(patched) as (keyof typeof patched)[]) Object.assign(fs, { [key]: real[key] });
      syncBuiltinESMExports();
    },
  };
};

/** The record as it would be of a program that never syncs what lies below a directory. */
export const deafTo = (directory: string, ops: readonly Op[]): readonly Op[] =>
  ops.map((op) => {
    const path = op.kind === 'sync' ? op.path : op.kind === 'sync names' ? op.directory : '';
    return path.startsWith(`${directory}/`) || path === directory ? { kind: 'sync', file: 0, path: '' } : op;
  });

/** Programs run as fast as the memory lets them: nothing is synced. */
export const withoutSyncing = (): void => {
  Object.assign(fs, { fsyncSync: () => undefined });
  syncBuiltinESMExports();
};

const SECTOR = 512;

/** How the names that were given and not synced are left: of each directory up to a moment of its own, or of all up to one moment, as on disks that
 *  keep a journal of names. */
export type Names = 'each by itself' | 'in one order';

type Content = Extract<Op, { readonly kind: 'write' | 'cut' }>;

/** The content of a file: what was synced, and of the rest whatever chance leaves. */
const contentAt = (ops: readonly (Content & { readonly index: number })[], synced: number, random: () => number): Buffer => {
  let bytes = Buffer.alloc(0);
  const grow = (size: number) => {
    if (size > bytes.length) bytes = Buffer.concat([bytes, Buffer.alloc(size - bytes.length)]);
  };
  for (const op of ops) {
    const fate = op.index < synced ? 1 : random();
    if (op.kind === 'cut') {
      if (fate < 0.4) continue;
      grow(op.size);
      bytes = Buffer.from(bytes.subarray(0, op.size));
    } else {
      // A third is lost, a sixth is torn, the rest is there.
      const length =
        fate < 0.33
          ? 0
          : fate < 0.5
            ? Math.min(op.bytes.length, SECTOR * Math.floor((random() * op.bytes.length) / SECTOR + random()))
            : op.bytes.length;
      // The size of a file may have come to the disk before what stands in it.
      if (length > 0 || random() < 0.3) grow(op.at + op.bytes.length);
      op.bytes.copy(bytes, op.at, 0, length);
    }
  }
  return bytes;
};

const directoriesOf = (op: Op): readonly string[] =>
  op.kind === 'rename' ? [dirname(op.from), dirname(op.to)] : op.kind === 'name' || op.kind === 'unname' ? [dirname(op.path)] : [];

/** Lays a state out at `target` as a power cut after so many operations could leave it. */
export const layOutState = (ops: readonly Op[], root: string, moment: number, names: Names, random: () => number, target: string): void => {
  const past = ops.slice(0, moment);
  const syncedNames = new Map<string, number>();
  const syncedFiles = new Map<number, number>();
  past.forEach((op, index) => {
    if (op.kind === 'sync names') syncedNames.set(op.directory, index);
    if (op.kind === 'sync') syncedFiles.set(op.file, index);
  });
  const nameOps = past.flatMap((op, index) => (directoriesOf(op).length > 0 ? [{ op, index }] : []));
  const lastSynced = Math.max(
    -1,
    ...nameOps.filter(({ op, index }) => directoriesOf(op).some((each) => (syncedNames.get(each) ?? -1) > index)).map(({ index }) => index),
  );
  const upTo = lastSynced + 1 + random() * (moment - lastSynced);
  const limits = new Map<string, number>();
  const limitOf = (directory: string): number => {
    const synced = syncedNames.get(directory) ?? -1;
    const known = limits.get(directory) ?? synced + 1 + random() * (moment - synced);
    limits.set(directory, known);
    return known;
  };
  const isThere = (op: Op, index: number): boolean =>
    names === 'in one order'
      ? index < upTo
      : directoriesOf(op).every((each) => index < limitOf(each) || index < (syncedNames.get(each) ?? -1));
  const paths = new Map<string, number | 'directory'>();
  for (const { op, index } of nameOps) {
    if (!isThere(op, index)) continue;
    if (op.kind === 'name') paths.set(op.path, op.file);
    if (op.kind === 'unname') paths.delete(op.path);
    if (op.kind === 'rename') {
      for (const [path, file] of [...paths]) {
        if (path !== op.from && !path.startsWith(`${op.from}/`)) continue;
        paths.delete(path);
        paths.set(join(op.to, relative(op.from, path)), file);
      }
    }
  }
  const contents = new Map<number, (Content & { readonly index: number })[]>();
  past.forEach((op, index) => {
    if (op.kind !== 'write' && op.kind !== 'cut') return;
    const known = contents.get(op.file) ?? [];
    contents.set(op.file, known);
    known.push({ ...op, index });
  });
  real.mkdirSync(target, { recursive: true });
  // A directory before what is in it; what is in one whose name was lost is lost with it.
  for (const [path, file] of [...paths].sort(([a], [b]) => a.length - b.length)) {
    const place = join(target, relative(root, path));
    if (path === root || !real.existsSync(dirname(place)) || !real.statSync(dirname(place)).isDirectory()) continue;
    if (file === 'directory') real.mkdirSync(place, { recursive: true });
    else real.writeFileSync(place, contentAt(contents.get(file) ?? [], syncedFiles.get(file) ?? -1, random));
  }
};
