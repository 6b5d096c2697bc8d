/** At the foot of the rail: who paints, and the way out. */
import { Menu } from '@mantine/core';
import { LogOutIcon, UserIcon } from 'lucide-react';
import { postJson } from '../api/client.ts';
import { useWho } from '../api/reads.ts';
import { ADDRESS, refresh } from '../api/resources.ts';
import { useWrite } from '../api/useWrite.ts';
import type { PainterState } from './painter.ts';
import styles from './Shell.module.css';

export function PainterMenu({ painter, painters, pick }: PainterState) {
  const { data: who } = useWho();
  return (
    <Menu position="right-end" withArrow>
      <Menu.Target>
        <button
          type="button"
          className={styles['place']}
          aria-label={`Painter: ${painter.name}. Change`}
        >
          <UserIcon size={26} strokeWidth={1.6} aria-hidden="true" />
          <span>{painter.name}</span>
        </button>
      </Menu.Target>
      <Menu.Dropdown>
        {who?.isAsked ? (
          <WayOut painterId={painter.id} />
        ) : (
          <>
            <Menu.Label>Who is painting?</Menu.Label>
            {painters.map(({ id, name }) => (
              <Menu.Item
                key={id}
                onClick={() => pick(id)}
                fw={id === painter.id ? 700 : 400}
                fz={18}
                py={12}
              >
                {name}
              </Menu.Item>
            ))}
          </>
        )}
      </Menu.Dropdown>
    </Menu>
  );
}

function WayOut({ painterId }: { painterId: string }) {
  const [, write] = useWrite();
  const out = (address: string, body: object) =>
    void write(async () => {
      await postJson(address, body);
      await refresh('signIn');
    });
  return (
    <>
      <Menu.Item
        leftSection={<LogOutIcon size={22} strokeWidth={1.6} aria-hidden="true" />}
        fz={18}
        py={12}
        onClick={() => out(ADDRESS.signOut, {})}
      >
        Sign out: somebody else paints
      </Menu.Item>
      <Menu.Item fz={18} py={12} onClick={() => out(ADDRESS.endSessions, { of: painterId })}>
        Sign out on every tablet
      </Menu.Item>
    </>
  );
}
