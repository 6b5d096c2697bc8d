/**
 * A shop's server that can be lost: everything goes through a door of its own, which is shut as a
 * cable is pulled, and opened again.
 */
import { connect, createServer, type Socket } from 'node:net';
import { ADDRESS } from './shopServer.ts';

export type Door = { address: string; shut: () => void; open: () => void; close: () => void };

export async function doorToShop(shop = ADDRESS): Promise<Door> {
  const { hostname, port } = new URL(shop);
  const through = new Set<Socket>();
  let isOpen = true;
  const server = createServer((client) => {
    if (!isOpen) return client.destroy();
    const shop = connect(Number(port), hostname);
    for (const [from, to] of [
      [client, shop],
      [shop, client],
    ] as const) {
      through.add(from);
      from.pipe(to);
      from.on('error', () => to.destroy());
      from.on('close', () => {
        through.delete(from);
        to.destroy();
      });
    }
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const place = server.address() as { port: number };
  const cut = () => through.forEach((socket) => socket.destroy());
  return {
    address: `http://127.0.0.1:${place.port}`,
    shut: () => {
      isOpen = false;
      cut();
    },
    open: () => {
      isOpen = true;
    },
    close: () => {
      cut();
      server.close();
    },
  };
}
