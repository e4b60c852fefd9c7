import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { request, type IncomingHttpHeaders, type Server } from 'node:http';
import { connect, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { simulatedStation } from '../core/sky';
import { createApp } from './app';

const HASHED = 'entry-0123456789abcdef0123456789abcdef.js';
let folder: string;
let server: Server;
let port: number;

beforeAll((done) => {
  folder = mkdtempSync(join(tmpdir(), 'trowel-'));
  mkdirSync(join(folder, 'dist/static'), { recursive: true });
  writeFileSync(join(folder, 'secret.txt'), 'not for you');
  writeFileSync(join(folder, 'dist/index.html'), '<!doctype html><title>app</title>');
  writeFileSync(join(folder, 'dist/.build'), 'hidden');
  const script = `console.log(${JSON.stringify('x'.repeat(5000))})`;
  writeFileSync(join(folder, 'dist/static', HASHED), script);
  writeFileSync(join(folder, 'dist/static', `${HASHED}.br`), brotliCompressSync(script));
  server = createApp(join(folder, 'dist')).listen(0, '127.0.0.1', () => {
    port = (server.address() as AddressInfo).port;
    done();
  });
});
afterAll((done) => {
  rmSync(folder, { recursive: true });
  server.close(() => done());
});

interface Answer {
  readonly status: number;
  readonly headers: IncomingHttpHeaders;
  readonly text: string;
}

function ask(path: string, method = 'GET', headers: Record<string, string> = {}): Promise<Answer> {
  return new Promise((resolve, reject) => {
    request({ host: '127.0.0.1', port, path, method, headers }, (response) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('end', () =>
        resolve({
          status: response.statusCode ?? 0,
          headers: response.headers,
          text: Buffer.concat(parts).toString(),
        }),
      );
    })
      .on('error', reject)
      .end();
  });
}

/** A raw request line, which http.request would tidy up. */
function raw(line: string): Promise<string> {
  return new Promise((resolve, reject) => {
    const socket = connect(port, '127.0.0.1', () =>
      socket.write(`${line} HTTP/1.1\r\nHost: x\r\nConnection: close\r\n\r\n`),
    );
    let text = '';
    socket.on('data', (part) => (text += part.toString()));
    socket.on('end', () => resolve(text));
    socket.on('error', reject);
  });
}

test('any page address gets the app, never stored for long', async () => {
  for (const path of ['/', '/round?date=2026-07-14', '/plant/plant:01J']) {
    const { status, headers, text } = await ask(path);
    expect([status, headers['cache-control']]).toEqual([200, 'no-cache']);
    expect(text).toContain('<title>app</title>');
  }
});

test('a strict policy and the usual guards stand on every answer', async () => {
  const { headers } = await ask('/');
  expect(headers['content-security-policy']).toContain("script-src 'self' 'wasm-unsafe-eval';");
  expect(headers['content-security-policy']).toContain("frame-ancestors 'none'");
  expect(headers['content-security-policy']).not.toContain("'unsafe-eval'");
  expect(headers['x-content-type-options']).toBe('nosniff');
  expect(headers['referrer-policy']).toBe('no-referrer');
  expect(headers['x-powered-by']).toBeUndefined();
});

test('hashed files are kept for a year and handed out compressed', async () => {
  const { headers, status } = await ask(`/static/${HASHED}`, 'GET', { 'accept-encoding': 'br' });
  expect([status, headers['content-encoding'], headers['cache-control']]).toEqual([
    200,
    'br',
    'public, max-age=31536000, immutable',
  ]);
  expect(headers['content-type']).toMatch(/javascript/);
  expect((await ask(`/static/${HASHED}`)).text).toContain('xxxx');
});

test.each([
  ['a file that is not there', '/static/none.js', 404],
  ['a hidden file', '/.build', 404],
  ['a service there is not', '/api/nothing', 404],
  ['an address that cannot be read', '/%E0%A4%A', 400],
  ['an address too long', `/${'a'.repeat(3000)}`, 414],
])('%s is answered properly', async (_name, path, status) => {
  const answer = await ask(path);
  expect(answer.status).toBe(status);
  expect(answer.text).not.toContain('<title>app</title>');
  expect(answer.text).not.toContain(folder);
});

test.each(['POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS'])('%s is not for this server', async (method) => {
  const { status, headers } = await ask('/', method);
  expect([status, headers.allow]).toEqual([405, 'GET, HEAD']);
});

test.each([
  '/../secret.txt',
  '/..%2fsecret.txt',
  '/%2e%2e/secret.txt',
  '/static/../../secret.txt',
  '/..%5csecret.txt',
  '//../secret.txt',
  '/static/%00/../secret.txt',
])('%s does not climb out of the app', async (path) => {
  expect(await raw(`GET ${path}`)).not.toContain('not for you');
});

describe('the made-up weather station', () => {
  const good = {
    latitude: '46.2',
    longitude: '14.6',
    zone: 'Europe/Ljubljana',
    now: String(Date.parse('2026-07-14T03:05:00Z')),
  };
  const path = (query: Record<string, string>) => `/api/station?${new URLSearchParams(query).toString()}`;

  test('answers what the app works out for itself without a network', async () => {
    const { status, headers, text } = await ask(path(good));
    expect([status, headers['cache-control']]).toEqual([200, 'no-store']);
    const place = { latitude: 46.2, longitude: 14.6, zone: good.zone };
    expect(JSON.parse(text)).toEqual(simulatedStation(place, Number(good.now)));
  });

  test.each([
    ['latitude', { latitude: '91' }],
    ['longitude', { longitude: 'east' }],
    ['zone', { zone: 'Moon/Base' }],
    ['now', { now: '1e99' }],
    ['seed', { seed: '-1' }],
    ['extra', { extra: 'x' }],
  ])('names the %s that it cannot use', async (field, wrong) => {
    const { status, text } = await ask(path({ ...good, ...wrong }));
    expect([status, (JSON.parse(text) as { field: string }).field]).toEqual([400, field]);
  });
});
