import { connect, type Socket } from 'node:net';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { listen } from './listen.ts';

let open: Awaited<ReturnType<typeof listen>>;
beforeAll(async () => {
  open = await listen((_, response) => response.end('here'), '127.0.0.1', 0);
});
afterAll(() => {
  open.server.closeAllConnections();
  open.server.close();
});

const sockets: Socket[] = [];
afterAll(() => {
  for (const socket of sockets) socket.destroy();
});

const hold = (text: string): Promise<'held' | 'refused'> =>
  new Promise((resolve) => {
    const socket = connect(open.port, '127.0.0.1', () => socket.write(text));
    sockets.push(socket);
    // What is answered is read, or the end is never heard.
    socket.resume();
    socket.on('error', () => resolve('refused'));
    socket.on('close', () => resolve('refused'));
    setTimeout(() => resolve('held'), 1_500);
  });

const answered = () => fetch(`http://127.0.0.1:${open.port}/`).then((answer) => answer.text());

it('many who send slowly keep nobody waiting, are bounded in number, and are let go', { timeout: 60_000 }, async () => {
  const some = await Promise.all(Array.from({ length: 300 }, () => hold('GET / HTTP/1.1\r\nHost: x\r\nX-Slow: ')));
  expect(new Set(some)).toEqual(new Set(['held']));
  expect(await answered()).toBe('here');
  const more = await Promise.all(Array.from({ length: 150 }, () => hold('GET / HTTP/1.1\r\n')));
  expect(more.filter((each) => each === 'refused').length).toBeGreaterThanOrEqual(50);
  // Whoever has not said in ten seconds what they want goes, and others can come.
  await expect.poll(() => answered().catch(() => 'full'), { timeout: 30_000, interval: 500 }).toBe('here');
  await expect.poll(() => sockets.filter(({ destroyed }) => !destroyed).length, { timeout: 30_000, interval: 500 }).toBe(0);
});
