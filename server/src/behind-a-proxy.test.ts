import request, { type Response } from 'supertest';
import { startTestServer, type TestServer } from './testing/test-studio.ts';

const TRIES = 10;
let server: TestServer;

/** What a proxy on this machine sends on for a visitor. */
const sent = (path: string, body: object, from = '203.0.113.1', scheme = 'https'): Promise<Response> =>
  request(server.url)
    .post(`/api${path}`)
    .set({ 'x-soft-lark': '1', 'x-forwarded-for': from, 'x-forwarded-proto': scheme })
    .send(body);

const signUp = (email: string, scheme: string): Promise<Response> =>
  sent(
    '/studios',
    { studioName: 'Weir', name: 'Ada', email, password: 'ten plain characters', timeZone: 'UTC' },
    '203.0.113.1',
    scheme,
  );

/** The answers to one wrong password from each address, in turn. */
async function wrongPasswords(addresses: readonly string[]): Promise<number[]> {
  const found: number[] = [];
  for (const from of addresses)
    found.push((await sent('/session', { email: 'nobody@example.org', password: 'a guess of mine' }, from)).status);
  return found;
}

const cookieOf = ({ headers }: Response): string => [headers['set-cookie'] ?? ''].flat().join();

describe('behind a TLS proxy that is trusted', () => {
  beforeAll(async () => {
    server = await startTestServer({ publicUrl: 'https://lark.example', trustProxy: 'loopback' });
  }, 60_000);
  afterAll(() => server.close());

  test('browsers are told to come back by HTTPS, and the cookie is Secure', async () => {
    const { headers } = await request(server.url).get('/api/health');
    expect(headers['strict-transport-security']).toMatch(/max-age=\d{7,}/);
    expect(headers['content-security-policy']).toContain('upgrade-insecure-requests');
    const answer = await signUp('by-https@example.org', 'https');
    expect(answer.status).toBe(201);
    expect(cookieOf(answer)).toMatch(/; HttpOnly; Secure; SameSite=Lax/);
  });

  test('who comes by plain HTTP gets no session that could be read on the way', async () => {
    expect(cookieOf(await signUp('by-http@example.org', 'http'))).toBe('');
  });

  test('wrong passwords are counted by the visitor’s own address', async () => {
    const one = Array.from({ length: TRIES }, () => '203.0.113.7');
    expect(await wrongPasswords([...one, '203.0.113.7', '203.0.113.8'])).toEqual([...one.map(() => 401), 429, 401]);
  });
});

describe('on its own', () => {
  beforeAll(async () => {
    server = await startTestServer();
  }, 60_000);
  afterAll(() => server.close());

  test('plain HTTP is enough', async () => {
    const { headers } = await request(server.url).get('/api/health');
    expect(headers['strict-transport-security']).toBeUndefined();
    expect(headers['content-security-policy']).not.toContain('upgrade-insecure-requests');
    const answer = await signUp('plain@example.org', 'http');
    expect(cookieOf(answer)).toMatch(/; HttpOnly; SameSite=Lax/);
  });

  test('what a visitor claims to be does not count', async () => {
    const many = Array.from({ length: TRIES + 1 }, (_, index) => `203.0.113.${String(index)}`);
    expect((await wrongPasswords(many)).at(-1)).toBe(429);
  });
});
