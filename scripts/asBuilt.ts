/**
 * For npm test: core and contract are run as they are built, like the shop runs them. Module by
 * module through the test runner every call across a file costs a look-up, a quarter of the time of
 * the laws. Watch and check read the sources: they must know what a change touches.
 */
import { readdirSync } from 'node:fs';
import path from 'node:path';
import { build, type Plugin } from 'vite';

const root = path.dirname(import.meta.dirname);
const ROOMS = ['core', 'contract'];
/** Below the installed packages, which the test runner leaves to Node. */
const built = path.join(root, 'node_modules/.as-built');

/** Each source of a room: by the name of what is built of it, and where it lies. */
const sourcesOf = (room: string): [string, string][] =>
  readdirSync(path.join(root, 'packages', room, 'src'), { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts'))
    .map((file) => [
      `${room}/src/${file.slice(0, -'.ts'.length)}`,
      path.join(root, 'packages', room, 'src', file),
    ]);

/** File by file, so that each can be had by its own name; what is installed stays where it is. */
const buildRooms = () =>
  build({
    root,
    configFile: false,
    logLevel: 'error',
    build: {
      ssr: true,
      target: 'node20',
      outDir: built,
      emptyOutDir: true,
      sourcemap: true,
      minify: false,
      rolldownOptions: {
        input: Object.fromEntries(ROOMS.flatMap(sourcesOf)),
        external: (id: string) => !/^[./]|^@orthochrom\//.test(id),
        preserveEntrySignatures: 'strict',
        output: {
          preserveModules: true,
          preserveModulesRoot: path.join(root, 'packages'),
          entryFileNames: '[name].js',
        },
      },
    },
  });

/** @returns the plugin that leads every import of a source of these rooms to what was built of it */
export async function asBuilt(): Promise<Plugin> {
  await buildRooms();
  const source = new RegExp(`/packages/((${ROOMS.join('|')})/src/.*)\\.ts$`);
  return {
    name: 'as-built',
    enforce: 'pre',
    async resolveId(id, importer, options) {
      if (!importer || !/^\.|^@orthochrom\//.test(id)) return undefined;
      const found = await this.resolve(id, importer, { ...options, skipSelf: true });
      const file = found && source.exec(found.id)?.[1];
      return file ? path.join(built, `${file}.js`) : found;
    },
  };
}
