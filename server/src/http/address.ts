// Who asks, over what: told by the connection, or by the one who stands in front where that is somebody we were told to believe.

import type { IncomingMessage } from 'node:http';
import { isIP } from 'node:net';
import type { TLSSocket } from 'node:tls';

/** Addresses of whoever stands in front of the application. */
export type Proxies = ReadonlySet<string>;

const plain = (address: string): string => address.replace(/^::ffff:(?=\d+\.)/, '');

const LOOPBACK = /^(127\.|::1$)/;

const isTrusted = (address: string, proxies: Proxies): boolean =>
  proxies.has(address) || (proxies.has('loopback') && LOOPBACK.test(address));

/** The address that asks: of those who passed the request on, the last one that is not believed. */
export const addressOf = (request: IncomingMessage, proxies: Proxies): string => {
  const direct = plain(request.socket.remoteAddress ?? '');
  if (!isTrusted(direct, proxies)) return direct;
  const passed = String(request.headers['x-forwarded-for'] ?? '')
    .split(',')
    .map((each) => plain(each.trim()))
    .filter((each) => isIP(each) !== 0);
  return passed.reverse().find((each) => !isTrusted(each, proxies)) ?? direct;
};

/** Those who can take many addresses are one: an IPv6 network of 64 bits, an IPv4 address. */
export const networkOf = (address: string): string => {
  if (isIP(address) !== 6) return address;
  const [head = '', tail = ''] = address.split('::');
  const groups = head === '' ? [] : head.split(':');
  const after = tail === '' ? [] : tail.split(':');
  const all = address.includes('::') ? [...groups, ...Array(Math.max(0, 8 - groups.length - after.length)).fill('0'), ...after] : groups;
  return `${all
    .slice(0, 4)
    .map((group) => Number.parseInt(group, 16).toString(16))
    .join(':')}::/64`;
};

/** Whether nobody on the way can read what is sent. */
export const isSecure = (request: IncomingMessage, proxies: Proxies): boolean => {
  if ((request.socket as TLSSocket).encrypted === true) return true;
  const direct = plain(request.socket.remoteAddress ?? '');
  return isTrusted(direct, proxies) && request.headers['x-forwarded-proto'] === 'https';
};
