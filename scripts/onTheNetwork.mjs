/** Where the shop's tablets find this machine, and how they get there: an address, and a picture. */
import os from 'node:os';

const EVERY = ['0.0.0.0', '::'];

/** This machine's own addresses on its networks. */
const addresses = () =>
  Object.values(os.networkInterfaces())
    .flat()
    .filter(({ internal, family }) => !internal && family === 'IPv4')
    .map(({ address }) => address);

const reachable = (host) => (EVERY.includes(host) ? addresses() : [host]);

/** By which it answers: others are a page from elsewhere that bent a name to it. */
export const namesFor = (host) => {
  const own = os.hostname().toLowerCase();
  return [...new Set([...reachable(host), host.toLowerCase(), own, `${own}.local`])];
};

export async function sayAddresses(say, { host, names, port, certificate, isProxied, code }) {
  const { default: qrcode } = await import('qrcode');
  const scheme = certificate ? 'https' : 'http';
  // Behind a proxy its own name is the way in: how that listens is its own business.
  const urls = isProxied
    ? names.map((name) => `https://${name}`)
    : [...reachable(host), ...names].map((address) => `${scheme}://${address}:${port}`);
  say(`\nOrthochrom is open to the shop’s network:`);
  for (const url of urls) say(`  ${url}`);
  if (urls[0]) say(await qrcode.toString(urls[0], { type: 'terminal', small: true }));
  if (code)
    say(
      `No lead has a PIN yet. The first one comes in with this code, which holds for a day:  ${code}`,
    );
  if (!certificate && !isProxied)
    say(
      'This is plain http: whoever is on this network can read what is sent, PINs too. Give a certificate (--certificate FILE --key FILE) or put a proxy with one before it (--proxy); README, “On the shop’s network”.',
    );
  say('Ctrl-C closes it.');
}
