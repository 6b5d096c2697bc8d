/** One more room, cup or painter: made with what is usual, then changed in its own form. */
import { Button, TextInput } from '@mantine/core';
import type { Painter, ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { saveJson } from '../api/client.ts';
import { ADDRESS, hold } from '../api/resources.ts';
import { useWrite } from '../api/useWrite.ts';

type Kind = 'room' | 'cup' | 'painter';
const ADDRESS_OF = {
  room: [ADDRESS.rooms, ADDRESS.room],
  cup: [ADDRESS.cups, ADDRESS.cup],
  painter: [ADDRESS.painters, ADDRESS.painter],
} as const;

export function AddToShop({ kind, like }: { kind: Kind; like: Painter }) {
  const [name, setName] = useState('');
  const [busy, write] = useWrite();
  const add = () =>
    write(async () => {
      const body = { id: newId(), name: name.trim(), ...USUAL[kind](like) };
      const [all, one] = ADDRESS_OF[kind];
      const setup = await saveJson<ShopSetup>([all, one(body.id)], body, undefined);
      setName('');
      await hold(ADDRESS.setup, setup);
    });
  return (
    <div className="card row">
      <TextInput
        label={`Another ${kind}`}
        placeholder="Name"
        value={name}
        maxLength={80}
        onChange={(event) => setName(event.currentTarget.value)}
      />
      <Button loading={busy} disabled={name.trim() === ''} onClick={() => void add()}>
        Add this {kind}
      </Button>
    </div>
  );
}

const USUAL: Record<Kind, (like: Painter) => object> = {
  room: () => ({
    place: 'closedGarage',
    heated: false,
    airMovement: 'still',
    airflow: 'still',
    extraction: 'off',
    region: '',
    regionRules: {},
    note: '',
  }),
  cup: () => ({ capacityMl: 600, marksMl: [], scales: [] }),
  painter: ({ units }) => ({ skill: 'able', units, way: {} }),
};
