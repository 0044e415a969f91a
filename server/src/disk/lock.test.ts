import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { takeLock } from './lock.ts';

const place = () => mkdtempSync(join(tmpdir(), 'parlor-lock-'));
const hold = (directory: string, holder: object | string) =>
  writeFileSync(join(directory, 'parlor.lock'), typeof holder === 'string' ? holder : JSON.stringify(holder));

describe('the lock of a data directory', () => {
  it('is held by one at a time, and given free', async () => {
    const directory = place();
    const first = await takeLock(directory);
    expect(first.ok).toBe(true);
    expect(await takeLock(directory)).toMatchObject({ ok: false, error: { code: 'data-directory-in-use', pid: process.pid } });
    if (first.ok) first.value.release();
    expect((await takeLock(directory)).ok).toBe(true);
    expect(readdirSync(directory).sort()).toEqual(['parlor.beat', 'parlor.lock', 'parlor.socket']);
  });

  it('of a process that is gone is taken over, and leaves nothing behind', async () => {
    const directory = place();
    const gone = spawn(process.execPath, ['-e', '']);
    await new Promise((resolve) => gone.once('exit', resolve));
    hold(directory, { pid: gone.pid, started: '12345' });
    expect((await takeLock(directory)).ok).toBe(true);
    expect(readdirSync(directory).sort()).toEqual(['parlor.beat', 'parlor.lock', 'parlor.socket']);
  });

  it('of a process whose number now belongs to another is taken over', async () => {
    const directory = place();
    hold(directory, { pid: process.pid, started: '1' });
    // Only where the system tells when a process started can the two be told apart.
    expect((await takeLock(directory)).ok).toBe(existsSync('/proc/self/stat'));
  });

  it('of a process that was killed and that nobody waited for is taken over', async () => {
    const directory = place();
    // The shell starts a child, says its number, and then does nothing but sleep: the child, killed, stays a zombie.
    const shell = spawn('sh', ['-c', 'sleep 60 & echo $!; exec sleep 60'], { stdio: ['ignore', 'pipe', 'ignore'] });
    const pid = await new Promise<number>((said) => shell.stdout.once('data', (chunk: Buffer) => said(Number(chunk.toString()))));
    process.kill(pid, 'SIGKILL');
    await new Promise((later) => setTimeout(later, 100));
    hold(directory, { pid, started: '' });
    expect((await takeLock(directory)).ok).toBe(existsSync('/proc/self/stat'));
    shell.kill();
  });

  it('that nobody can read is taken over', async () => {
    const directory = place();
    hold(directory, '{"pid":');
    expect((await takeLock(directory)).ok).toBe(true);
  });

  it('of a living process stays its own', async () => {
    const directory = place();
    const living = spawn(process.execPath, ['-e', 'setTimeout(() => {}, 60000)']);
    await new Promise((resolve) => living.once('spawn', resolve));
    const stat = readFileSync(`/proc/${living.pid}/stat`, 'utf8');
    hold(directory, { pid: living.pid, started: stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19] });
    expect(await takeLock(directory)).toMatchObject({ ok: false, error: { pid: living.pid } });
    living.kill();
  });
});
