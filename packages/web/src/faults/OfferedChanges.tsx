/**
 * What earlier findings would change in this plan: offered, with their reason; taken or refused by
 * a touch, never imposed.
 */
import { usePlanChanges } from '../api/reads.ts';
import { ADDRESS } from '../api/resources.ts';
import { Button } from '@mantine/core';
import { movedTo } from './moves.ts';
import type { PlanChange } from '@orthochrom/contract/shop/finding.ts';
import type { StagePlan } from '@orthochrom/contract/shop/ticket.ts';
import type { Coat, Overrides, SettingName } from '@orthochrom/contract/shop/coat.ts';
import { Link } from 'react-router';
import { postJson } from '../api/client.ts';
import { useWrite } from '../api/useWrite.ts';
import { usePainter } from '../frame/painter.ts';
import { SETTING_NAME } from '../words/tradeNames.ts';
import type { Format } from '@orthochrom/contract/words/format.ts';

type OfferedChangesProps = {
  coat: Coat;
  stage: StagePlan;
  gunId: string;
  format: Format;
  /** What the plan has now, by setting. */
  valueOf: (name: SettingName) => number;
  /** Absent while settings cannot be changed. */
  onUse?: (overrides: Overrides) => Promise<boolean>;
};

export function OfferedChanges({
  coat,
  stage,
  gunId,
  format,
  valueOf,
  onUse,
}: OfferedChangesProps) {
  const { painter } = usePainter();
  const { data, mutate } = usePlanChanges();
  const [busy, write] = useWrite();
  const offered = (data ?? []).filter(
    (change) =>
      (change.stage ?? stage.kind) === stage.kind &&
      (!change.move || (change.gunId ?? gunId) === gunId),
  );
  if (offered.length === 0) return null;
  const answer = (change: PlanChange, state: 'taken' | 'refused') =>
    write(async (over) => {
      await mutate(
        await postJson<PlanChange[]>(ADDRESS.planChange(change.id), {
          version: over ?? change.version,
          painterId: painter.id,
          state,
          ...(state === 'taken' ? { coatId: coat.id } : {}),
        }),
        { revalidate: false },
      );
    });
  const take = async (change: PlanChange) => {
    const to = change.move && movedTo(change.move, valueOf(change.move.setting));
    if (change.move && to !== undefined && onUse) {
      const { setting } = change.move;
      const kept = await onUse({
        [setting]: {
          recommended: valueOf(setting),
          chosen: to,
          why: `after: ${change.why}`.slice(0, 200),
        },
      });
      if (!kept) return;
    }
    await answer(change, 'taken');
  };
  return (
    <section
      className="card stack"
      aria-label="From earlier findings"
      style={{ borderLeft: '6px solid var(--amber)' }}
    >
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        From earlier findings
      </h2>
      {offered.map((change) => {
        const { move } = change;
        const to = move && movedTo(move, valueOf(move.setting));
        const canMove = move !== undefined && to !== undefined;
        return (
          <div
            key={change.id}
            className="stack"
            data-change={change.cause}
            style={{ gap: '0.4rem' }}
          >
            <p>
              <b>{change.setting}.</b> {change.change}.{' '}
              <span className="quiet">
                Because of: {change.why.toLowerCase()}.{' '}
                <Link to={`/faults/${change.findingId}`}>What was found</Link>
              </span>
            </p>
            {canMove && (
              <p>
                Here: {SETTING_NAME[move.setting].toLowerCase()}{' '}
                {settingText(move.setting, valueOf(move.setting), format)} to{' '}
                <b>{settingText(move.setting, to, format)}</b>
              </p>
            )}
            <div className="row">
              <Button loading={busy} disabled={canMove && !onUse} onClick={() => void take(change)}>
                {canMove ? 'Set it so for this coat' : 'Keep to it on this coat'}
              </Button>
              <Button
                variant="default"
                disabled={busy}
                onClick={() => void answer(change, 'refused')}
              >
                Not this time
              </Button>
              {canMove && !onUse && (
                <span className="quiet">Take the plan on the mix card first.</span>
              )}
            </div>
          </div>
        );
      })}
    </section>
  );
}

function settingText(name: SettingName, value: number, format: Format): string {
  if (name === 'inletKPa') return format.joined(format.pressure(value));
  if (name === 'distanceMm') return format.joined(format.length(value));
  if (name === 'wetFilmUm') return format.joined(format.film(value));
  if (name === 'overlapPercent') return `${value.toFixed(0)} %`;
  return name === 'nozzleMm' ? `${value.toFixed(1)} mm` : `${Number(value.toFixed(2))} turns`;
}
