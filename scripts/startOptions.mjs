/** What `npm start` may be told, and what is wrong with it in one sentence. */
import { existsSync } from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { Plain } from './debian.mjs';

const EVERY_ADDRESS = '0.0.0.0';

/** `--host` alone: on every address of this machine. */
const withHost = (words) =>
  words.flatMap((word, i) =>
    word === '--host' && (words[i + 1] ?? '--').startsWith('--') ? [word, EVERY_ADDRESS] : [word],
  );

export function startOptions(root, words) {
  const values = parsed(withHost(words));
  const port = Number(values.port);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Plain(`--port is ${values.port}; a whole number from 1 to 65535 is wanted.`);
  const network = networkOf(values);
  return {
    port,
    data: path.resolve(values.data ?? path.join(root, '.data')),
    fresh: values.fresh,
    isEmpty: values.empty,
    ...(network ? { network } : {}),
  };
}

function parsed(words) {
  try {
    return parseArgs({
      args: words,
      options: {
        port: { type: 'string', default: '4300' },
        data: { type: 'string' },
        fresh: { type: 'boolean', default: false },
        empty: { type: 'boolean', default: false },
        host: { type: 'string' },
        certificate: { type: 'string' },
        key: { type: 'string' },
        proxy: { type: 'boolean', default: false },
        name: { type: 'string', multiple: true, default: [] },
      },
    }).values;
  } catch (fault) {
    throw new Plain(
      `${fault.message}\nThere are --port N, --data FOLDER, --fresh, --empty, --host [ADDRESS], --certificate FILE with --key FILE, --proxy, and --name NAME.`,
    );
  }
}

function networkOf({ host, certificate, key, proxy, name }) {
  if (host === undefined) {
    if (certificate || key || proxy || name.length > 0)
      throw new Plain(
        '--certificate, --key, --proxy and --name go with --host: without it nobody else is answered.',
      );
    return undefined;
  }
  if (Boolean(certificate) !== Boolean(key))
    throw new Plain(
      '--certificate and --key go together: the one is worth nothing without the other.',
    );
  for (const file of [certificate, key])
    if (file && !existsSync(file)) throw new Plain(`There is no file ${file}.`);
  return {
    host,
    names: name.map((one) => one.toLowerCase()),
    isProxied: proxy,
    ...(certificate ? { certificate: path.resolve(certificate), key: path.resolve(key) } : {}),
  };
}
