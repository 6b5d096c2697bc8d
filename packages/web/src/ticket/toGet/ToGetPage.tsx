/** All that a job wants before it begins: paint by tin, cups, strainers, discs, cloths; printed. */
import { Button, Table } from '@mantine/core';
import { contextOf, isMissing } from '@orthochrom/contract/plan/contextOf.ts';
import { suppliesOf, type HowMuch } from '@orthochrom/contract/plan/howMuch.ts';
import { stageSaid } from '@orthochrom/contract/plan/layersFound.ts';
import { planCoat, type CoatPlan } from '@orthochrom/contract/plan/planCoat.ts';
import type { PlanContext } from '@orthochrom/contract/plan/planContext.ts';
import { prepList } from '@orthochrom/contract/plan/prepList.ts';
import { prepWhere } from '@orthochrom/contract/plan/standing.ts';
import type { AirNow } from '@orthochrom/contract/shop/air.ts';
import type { Painter, ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import type { SheetVersion, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { ask } from '@orthochrom/contract/calculations/ask.ts';
import { quantityCalculation } from '@orthochrom/contract/calculations/quantity.ts';
import { formatFor, moneyText } from '@orthochrom/contract/words/format.ts';
import { PrinterIcon } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useAir, useSetup, useSheets, useTicket } from '../../api/reads.ts';
import { useNowMs } from '../../api/serverClock.ts';
import { NotYet } from '../../frame/NotYet.tsx';
import { PageHead } from '../../frame/PageHead.tsx';
import { usePainter } from '../../frame/painter.ts';
import { FigureInput } from '../../units/FigureInput.tsx';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import { capital } from '../../words/tradeNames.ts';
import styles from './ToGetPage.module.css';

type Stage = { name: string; context: PlanContext; plan: CoatPlan; quantity: HowMuch };

export function ToGetPage() {
  const { id = '' } = useParams();
  const [ticket, setup, sheets, air] = [useTicket(id), useSetup(), useSheets(), useAir()];
  const room = air.data?.rooms.find(({ roomId }) => roomId === ticket.data?.ticket.roomId);
  if (!ticket.data || !setup.data || !sheets.data || !room)
    return <NotYet reads={[ticket, setup, sheets, air]} what="the list" />;
  return <ToGet whole={ticket.data} setup={setup.data} latest={sheets.data} air={room} />;
}

type ToGetProps = { whole: TicketWhole; setup: ShopSetup; latest: SheetVersion[]; air: AirNow };

function ToGet({ whole, setup, latest, air }: ToGetProps) {
  const { painter } = usePainter();
  const nowMs = useNowMs(60_000);
  const [atHand, setAtHand] = useState<Record<string, number>>({});
  const planned = useMemo(
    () => stagesOf({ whole, setup, latest, air }, painter),
    [whole, setup, latest, air, painter],
  );
  const stages = useMemo(() => lessWhatIsThere(planned, atHand), [planned, atHand]);
  const [first] = stages;
  const prep = first && prepList(whole, prepWhere(first.context, first.plan, nowMs));
  const format = formatFor(painter.units);
  const volume = (ml: number) => format.joined(format.volume(ml));
  const { ticket } = whole;
  return (
    <div className={styles['page']}>
      <PageHead title={`To get for ${ticket.number}`} line={ticket.vehicle}>
        <div className={`row ${styles['tools']}`}>
          <Button size="lg" leftSection={<PrinterIcon size={24} />} onClick={() => window.print()}>
            Print it
          </Button>
          <Button size="lg" variant="default" component={Link} to={`/tickets/${ticket.id}`}>
            Back to the ticket
          </Button>
        </div>
      </PageHead>
      <div className="page stack">
        <section className="card">
          <h2 className="tape">Paint</h2>
          <Table className={styles['paint'] ?? ''}>
            <Table.Thead>
              <Table.Tr>
                <Table.Th>Stage</Table.Th>
                <Table.Th>Product</Table.Th>
                <Table.Th>Wanted</Table.Th>
                <Table.Th>On the shelf</Table.Th>
                <Table.Th>Tins</Table.Th>
              </Table.Tr>
            </Table.Thead>
            <Table.Tbody>
              {stages.flatMap(({ name, quantity }) =>
                (quantity.components ?? []).map((part, i) => (
                  <Table.Tr key={`${name}${part.name}`}>
                    <Table.Td>
                      {i === 0 &&
                        `${capital(name)}, ${volume(quantity.readyMl.low)} to ${volume(quantity.readyMl.high)} ready`}
                    </Table.Td>
                    <Table.Td>{part.name}</Table.Td>
                    <Table.Td className={styles['figure']}>{volume(part.ml)}</Table.Td>
                    <Table.Td className={styles['shelf']}>
                      <FigureInput
                        label={`${part.name} on the shelf, ${name}`}
                        isLabelHidden
                        kind="volume"
                        field="ml"
                        placeholder="none"
                        onChange={(entered) =>
                          setAtHand({
                            ...atHand,
                            [shelfKey(name, part.name)]: entered?.canonical ?? 0,
                          })
                        }
                      />
                    </Table.Td>
                    <Table.Td>{tinsSaid(quantity, part.name, volume)}</Table.Td>
                  </Table.Tr>
                )),
              )}
            </Table.Tbody>
          </Table>
          <VerdictList
            verdicts={stages.flatMap(({ quantity }) =>
              quantity.verdicts.filter(({ code }) => code === 'paint-short'),
            )}
            hideGo
          />
          <JobMoney
            quantities={stages.map(({ quantity }) => quantity)}
            currency={setup.shop.currency}
          />
          <p className="quiet">
            A tinted colour is bought for the upper figure: the second tin may differ.
          </p>
        </section>
        <section className="card">
          <h2 className="tape">Beside it</h2>
          <ul className={styles['list']}>
            {suppliesOf(stages, prep).map(({ what, count }) => (
              <li key={what}>
                <strong>{count} ×</strong> {what}
              </li>
            ))}
          </ul>
          <p className="quiet">
            Cloths are new for every job, microfibre or throw-away. Soaked ones go into a closed
            metal bin, out daily.
          </p>
        </section>
      </div>
    </div>
  );
}

/** Every stage that still has a coat to come, with its paint worked out. */
function stagesOf({ whole, setup, latest, air }: ToGetProps, painter: Painter): Stage[] {
  const { stages } = whole.ticket;
  return stages.flatMap((stage) => {
    const coat = whole.coats.find(
      ({ stageId, state }) => stageId === stage.id && (state === 'planned' || state === 'taken'),
    );
    const context = coat && contextOf({ whole, setup, latest, air }, coat, painter.id, {});
    if (!context || isMissing(context)) return [];
    const plan = planCoat(context);
    return [{ name: stageSaid(stages, stage), context, plan, quantity: plan.quantity }];
  });
}

function tinsSaid(
  { packs = [], leftOver = [] }: HowMuch,
  product: string,
  volume: (ml: number) => string,
) {
  const own = packs.filter(({ name }) => name === product);
  return own.length === 0
    ? leftOver.some(({ name }) => name === product)
      ? 'none: it is there'
      : 'size not on its sheet'
    : own.map(({ sizeMl, count }) => `${count} × ${volume(sizeMl)}`).join(', ');
}

const shelfKey = (stage: string, product: string): string => `${stage} ${product}`;

/** Tins for what the shelf does not have. */
const lessWhatIsThere = (stages: Stage[], atHand: Record<string, number>): Stage[] =>
  stages.map((stage) => {
    const { quantity, plan, name } = stage;
    const have = (quantity.components ?? []).flatMap((part) => {
      const ml = atHand[shelfKey(name, part.name)] ?? 0;
      return ml > 0 ? [{ name: part.name, ml }] : [];
    });
    return have.length === 0
      ? stage
      : { ...stage, quantity: ask(quantityCalculation, { ...plan.inputs.quantity, have }) };
  });

/** What the paint of the whole job is worth, where every stage can be priced. */
function JobMoney({
  quantities,
  currency,
}: {
  quantities: readonly HowMuch[];
  currency: string | undefined;
}) {
  const sum = (of: (quantity: HowMuch) => number | undefined): number | undefined =>
    quantities.reduce<number | undefined>((total, quantity) => {
      const own = of(quantity);
      return total === undefined || own === undefined ? undefined : total + own;
    }, 0);
  const [cost, spend] = [
    sum((one) => one.cost),
    sum((one) => one.spend ?? (one.packs ? undefined : 0)),
  ];
  if (quantities.length === 0) return null;
  return cost === undefined && spend === undefined ? (
    <p className="quiet">
      No prices yet for all of it: each product has them on its own page under Sheets.
    </p>
  ) : (
    <p>
      {cost !== undefined && (
        <>
          Paint of this job <strong>{moneyText(cost, currency)}</strong>.{' '}
        </>
      )}
      {spend !== undefined && (
        <>
          Tins to buy <strong>{moneyText(spend, currency)}</strong>.
        </>
      )}
    </p>
  );
}
