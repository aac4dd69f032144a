import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { COACH, TestApp } from '../testing/testApp.js';
import { readConfig } from '../config/config.js';
import { isOwnOrigin } from './origin.js';

describe('whose pages may change something', () => {
  const here = { host: '127.0.0.1:4170' };

  test.each([
    [{ ...here, origin: 'http://127.0.0.1:4170' }, true],
    [{ ...here, origin: 'http://127.0.0.1:4171' }, false],
    [{ ...here, origin: 'https://elsewhere.example' }, false],
    [{ ...here, origin: 'null' }, false],
    [here, true],
    [{ ...here, site: 'same-origin' }, true],
    [{ ...here, site: 'cross-site' }, false],
  ])('when a request comes with %o, it should be own: %s', (headers, isOwn) => {
    expect(isOwnOrigin(headers, null)).toBe(isOwn);
  });

  test('when a public address is set, only that should count, whatever host the proxy names', () => {
    const publicUrl = new URL('https://mats.example/');
    expect(isOwnOrigin({ ...here, origin: 'https://mats.example' }, publicUrl)).toBe(true);
    expect(isOwnOrigin({ ...here, origin: 'http://127.0.0.1:4170' }, publicUrl)).toBe(false);
  });
});

describe('behind a public address', () => {
  let app: TestApp;
  beforeAll(async () => {
    app = await TestApp.start({ demo: 'rooms', publicUrl: 'https://mats.example' });
  });
  afterAll(() => app.stop());
  const post = (path: string, headers: Record<string, string>, body: object): Promise<Response> =>
    fetch(app.url + path, {
      method: 'POST',
      headers: { 'content-type': 'application/json', ...headers },
      body: JSON.stringify(body),
    });

  test('when somebody signs in over https, the cookie should be kept to https, and so should the browser', async () => {
    const answer = await post('/api/sign-in', { origin: 'https://mats.example' }, COACH);
    expect(answer.status).toBe(200);
    expect(answer.headers.get('set-cookie')).toMatch(/; Secure/);
    expect(answer.headers.get('strict-transport-security')).toMatch(/max-age/);
  });

  test('when another page posts, it should be refused before anything is done, on every route that writes', async () => {
    for (const path of ['/api/sign-in', '/api/undo', '/api/clips', '/api/footage']) {
      const answer = await post(path, { origin: 'https://elsewhere.example' }, COACH);
      expect([path, answer.status, ((await answer.json()) as { code: string }).code]).toEqual([
        path,
        403,
        'foreign-origin',
      ]);
    }
    expect((await fetch(`${app.url}/api/health`, { headers: { origin: 'https://elsewhere.example' } })).status).toBe(
      200,
    );
  });
});

describe('what the environment says', () => {
  const least = { ODOGRAPH_DATA: '/x', ODOGRAPH_DB_PORT: '1', ODOGRAPH_DB_USER: 'u', ODOGRAPH_DB_PASSWORD: 'p' };

  test('when nothing is said, the server should be on loopback only', () => {
    expect(readConfig(least)).toMatchObject({ host: '127.0.0.1', port: 4170, publicUrl: null });
  });

  test.each([
    [{}, true],
    [{ PUBLIC_URL: 'https://mats.example' }, false],
    [{ HOST: '0.0.0.0' }, false],
    [{ HOST: '0.0.0.0', OPEN_FOUNDING: '1' }, true],
  ])('when the environment says %j, founding without an invitation should be open: %s', (said, isOpen) => {
    expect(readConfig({ ...least, ...said }).isFoundingOpen).toBe(isOpen);
  });

  test.each([
    [{ PUBLIC_URL: 'mats.example' }, /PUBLIC_URL/],
    [{ PORT: 'many' }, /PORT/],
    [{ ODOGRAPH_DB_USER: undefined }, /ODOGRAPH_DB_USER/],
  ])('when %o is wrong, starting should fail and name it', (wrong, name) => {
    expect(() => readConfig({ ...least, ...wrong })).toThrow(name);
  });
});
