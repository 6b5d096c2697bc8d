/**
 * Where a set-up goes from the lab: to a gun as a baseline, to a ticket's coat, to a file, and from
 * a file back.
 */
import { ADDRESS, refresh } from '../api/resources.ts';
import { MATERIAL_NAME } from '@orthochrom/contract/words/tradeWords.ts';
import { Button, FileButton, Menu } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { refusalOf } from '@orthochrom/contract/quantity/refusal.ts';
import { LabFile, LAB_FORMAT } from '@orthochrom/contract/shop/labFile.ts';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useRef } from 'react';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { getJson, postJson } from '../api/client.ts';
import { useSetup, useTickets } from '../api/reads.ts';
import { saveText } from '../frame/saveText.ts';
import { useWrite } from '../api/useWrite.ts';
import { usePainter } from '../frame/painter.ts';
import { overridesFrom } from './overrides.ts';
import { MATERIALS } from '@orthochrom/core/trade/materialClasses.ts';
import type { LabSetup, LabVisit } from './labSetup.ts';

type Pair = { a: LabSetup; b?: LabSetup };
type LabActionsProps = {
  pair: Pair;
  shown: LabSetup;
  visit: LabVisit | undefined;
  onOpen: (file: LabFile) => void;
  onReset: () => void;
};

export function LabActions({ pair, shown, visit, onOpen, onReset }: LabActionsProps) {
  const { painter } = usePainter();
  const { data: setup } = useSetup();
  const { data: list } = useTickets();
  const navigate = useNavigate();
  // The same file may be mended and opened again.
  const again = useRef<() => void>(null);
  const [busy, write] = useWrite();
  const stored = setup?.guns.find(
    ({ gun }) =>
      gun.class === shown.gun.class &&
      JSON.stringify(gun.nozzlesMm) === JSON.stringify(shown.gun.nozzlesMm),
  );
  const set = stored?.sets.find(
    ({ nozzleMm, retiredAt }) => nozzleMm === shown.settings.nozzleMm && !retiredAt,
  );
  const taken = (list?.coats ?? []).filter(({ state }) => state === 'taken');
  const saveToGun = () =>
    write(async () => {
      const { stage } = MATERIALS[shown.material.class];
      await postJson<ShopSetup>(ADDRESS.tests, {
        id: newId(),
        painterId: painter.id,
        nozzleSetId: set!.id,
        test: {
          kind: 'baseline',
          stage,
          product: MATERIAL_NAME[shown.material.class],
          byEar: false,
          settings: keptSettings(shown),
        },
        note: 'from the spray lab',
      });
      await refresh('tests');
      notifications.show({
        message: `Kept with ${stored!.name} as a baseline for ${MATERIAL_NAME[shown.material.class].toLowerCase()}.`,
      });
    });
  const sendTo = (coatId: string, ticketId: string) =>
    write(async () => {
      const whole = await getJson<TicketWhole>(ADDRESS.ticket(ticketId));
      const coat = whole.coats.find(({ id }) => id === coatId)!;
      await postJson<TicketWhole>(ADDRESS.coat(coatId, 'overrides'), {
        version: coat.version,
        painterId: painter.id,
        overrides: {
          ...coat.overrides,
          ...overridesFrom(
            shown,
            coat.planned?.answers['setup'] as Partial<Record<string, unknown>> | undefined,
          ),
        },
      });
      await refresh('tickets');
      await navigate(`/tickets/${ticketId}`);
    });
  const share = () => {
    const file: LabFile = { format: LAB_FORMAT, version: 1, ...pair };
    saveText('spray-lab.json', 'application/json', JSON.stringify(file, null, 2));
  };
  const open = async (file: File | null) => {
    if (!file) return;
    const told = (message: string) =>
      notifications.show({ color: 'red', title: 'Not opened, nothing changed', message });
    try {
      const json = JSON.parse(await file.text()) as unknown;
      const parsed = LabFile.safeParse(json);
      if (parsed.success) onOpen(parsed.data);
      else {
        const { message, path } = refusalOf(parsed.error, json);
        told(`${path.join('.')}: ${message}`);
      }
    } catch {
      told(`${file.name} is not a spray lab file: it is not JSON.`);
    }
  };
  return (
    <div className="row">
      {visit && (
        <Button
          loading={busy}
          onClick={() => void sendTo(visit.coatId, visit.ticketId)}
          disabled={!taken.some(({ id }) => id === visit.coatId)}
        >
          Send to the ticket
        </Button>
      )}
      <Menu position="bottom-end">
        <Menu.Target>
          <Button variant="default">Save, send, share</Button>
        </Menu.Target>
        <Menu.Dropdown>
          <Menu.Item fz={17} py={10} disabled={!set || busy} onClick={() => void saveToGun()}>
            Keep with {stored?.name ?? 'the gun'}
          </Menu.Item>
          {taken.map((coat) => {
            const ticket = list!.tickets.find(({ id }) => id === coat.ticketId);
            return (
              <Menu.Item
                key={coat.id}
                fz={17}
                py={10}
                disabled={busy}
                onClick={() => void sendTo(coat.id, coat.ticketId)}
              >
                Send to {ticket?.number}, coat {coat.ordinal}
              </Menu.Item>
            );
          })}
          {taken.length === 0 && <Menu.Label>No coat waits with its plan taken</Menu.Label>}
          <Menu.Divider />
          <Menu.Item fz={17} py={10} onClick={share}>
            Share as a file
          </Menu.Item>
          <Menu.Item fz={17} py={10} onClick={onReset}>
            Begin afresh
          </Menu.Item>
        </Menu.Dropdown>
      </Menu>
      <FileButton
        resetRef={again}
        accept="application/json"
        onChange={(file) => void open(file).finally(() => again.current?.())}
      >
        {(props) => (
          <Button variant="default" {...props}>
            Open a file
          </Button>
        )}
      </FileButton>
    </div>
  );
}

const KEPT = [
  'nozzleMm',
  'inletKPa',
  'fluidTurnsOut',
  'fanTurnsOut',
  'distanceMm',
  'overlapPercent',
  'gunSpeedMPerS',
] as const;
const keptSettings = ({ settings }: LabSetup) =>
  Object.fromEntries(
    KEPT.flatMap((name) => (settings[name] === undefined ? [] : [[name, settings[name]]])),
  );
