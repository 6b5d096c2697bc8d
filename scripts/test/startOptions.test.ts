/** What a start is told: to whom it opens, and what is wrong in one sentence. */
import { describe, expect, it } from 'vitest';
import { startOptions } from '../startOptions.mjs';

const told = (...words: string[]) => startOptions('/shop', words);

describe('what a start is told', () => {
  it('opens to nobody else unless it is said', () => {
    expect(told()).toMatchObject({ port: 4300, data: '/shop/.data', isEmpty: false });
    expect(told('--empty')).not.toHaveProperty('network');
  });
  it('a host alone is every address, also before another word', () => {
    expect(told('--host').network?.host).toBe('0.0.0.0');
    expect(told('--host', '--empty')).toMatchObject({
      isEmpty: true,
      network: { host: '0.0.0.0', isProxied: false },
    });
    expect(told('--host', '192.0.2.7').network?.host).toBe('192.0.2.7');
  });
  it('a proxy on this machine is a network too, under its own name', () => {
    expect(told('--host', '127.0.0.1', '--proxy', '--name', 'Shop.Example').network).toMatchObject({
      host: '127.0.0.1',
      isProxied: true,
      names: ['shop.example'],
    });
  });
  it.each([
    [['--port', 'x'], /whole number from 1 to 65535/],
    [['--proxy'], /go with --host/],
    [['--name', 'x'], /go with --host/],
    [['--host', '--certificate', '/none.pem'], /go together/],
    [['--host', '--certificate', '/none.pem', '--key', '/none.key'], /no file \/none.pem/],
    [['--colour'], /There are --port N/],
  ])('says what is wrong: %o', (words, why) => {
    expect(() => told(...words)).toThrow(why);
  });
});
