import { sprayMinutes } from '@orthochrom/contract/plan/panels.ts';
import type { CoatPlan } from '@orthochrom/contract/plan/planCoat.ts';
import type { PlanContext } from '@orthochrom/contract/plan/planContext.ts';
import { gunSheetOf } from '@orthochrom/contract/plan/planInputs.ts';
import { recoatInput } from '@orthochrom/contract/plan/recoatInputs.ts';
import { ask } from '@orthochrom/contract/calculations/ask.ts';
import { recoatCalculation } from '@orthochrom/contract/calculations/recoat.ts';
import type { StagePlan, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useElementSize } from '@mantine/hooks';
import { memo, useMemo } from 'react';
import { liveMix } from './coatSteps.ts';
import { timeText, weekdayText } from '../words/timeText.ts';
import { layOutRibbon, ribbonBlocks, type StageMinutes } from './ribbonLayout.ts';
import styles from './TimeRibbon.module.css';

const FALLBACK = { spray: 5, flash: 12 };

/** What was done when, and what is left, at today's waits. */
type TimeRibbonProps = {
  whole: TicketWhole;
  context: PlanContext;
  plan: CoatPlan;
  coatId: string;
  nowMs: number;
};

/** Not drawn anew with every touch on the step above it. */
export const TimeRibbon = memo(function TimeRibbon({
  whole,
  context,
  plan,
  coatId,
  nowMs,
}: TimeRibbonProps) {
  const { ref, width } = useElementSize();
  const widthPx = Math.max(320, width);
  const minutesOf = useStageMinutes(whole, context, { plan, coatId });
  const layout = useMemo(
    () => layOutRibbon(ribbonBlocks(whole, nowMs, minutesOf), nowMs, { widthPx, padPx: 12 }),
    [whole, nowMs, minutesOf, widthPx],
  );
  // Beside a late now there is no room to the right of it.
  const nowIsLate = layout.nowPx > widthPx / 2;
  const dry =
    layout.dryMs <= nowMs ? 'dry to touch' : `dry to touch by about ${timeText(layout.dryMs)}`;
  const potLife = liveMix(whole.mixes, context.stage.id, nowMs)?.potLifeEndsAt;
  return (
    <section className={styles['ribbon']} aria-label="Clock of this ticket" ref={ref}>
      <svg width={widthPx} height={80} role="img" aria-label={`All coats ${dry}`}>
        {layout.blocks.map((block) => (
          <g
            key={block.key}
            className={`${styles[block.kind]} ${block.isDone ? styles['done'] : ''}`}
          >
            <rect
              x={block.xPx}
              y={22}
              width={block.widthPx}
              height={32}
              className={block.kind === 'spray' ? styles[block.stage] : undefined}
            />
            {block.widthPx > block.name.length * 7.5 && (
              <text x={block.xPx + block.widthPx / 2} y={43} textAnchor="middle">
                {block.name}
              </text>
            )}
          </g>
        ))}
        {layout.ticks.map(({ atMs, xPx }) => (
          <text key={atMs} x={xPx} y={73} textAnchor="middle" className={styles['tick']}>
            {layout.isOverDays ? weekdayText(atMs) : timeText(atMs)}
          </text>
        ))}
        <line x1={layout.nowPx} x2={layout.nowPx} y1={10} y2={58} className={styles['now']} />
        <text
          x={layout.nowPx + (nowIsLate ? -5 : 5)}
          y={15}
          textAnchor={nowIsLate ? 'end' : 'start'}
          className={styles['nowText']}
        >
          now {timeText(nowMs)} · {dry}
          {potLife ? ` · this mix is good until ${timeText(Date.parse(potLife))}` : ''}
        </text>
      </svg>
    </section>
  );
});

/**
 * Waits of each stage in the air as it is; of the coat at hand as it is planned, the painter's
 * picks in it.
 */
function useStageMinutes(
  whole: TicketWhole,
  context: PlanContext,
  { plan, coatId }: { plan: CoatPlan; coatId: string },
): StageMinutes {
  return useMemo(() => {
    const { stages } = whole.ticket;
    const sheetOf = (stage: StagePlan | undefined) =>
      whole.sheets.find(({ id }) => id === stage?.sheetVersionId)?.sheet;
    const worked = new Map(
      stages.map((stage, i) => {
        const sheet = sheetOf(stage);
        const over = sheetOf(stages[i + 1]);
        const flashOf = (coatsLeft: number): number => {
          if (!sheet) return FALLBACK.flash;
          const {
            own: _o,
            mist: _m,
            part: _p,
            wantedParts: _w,
            hardenerId: _h,
            over: _v,
            ...shared
          } = context;
          const of = {
            ...shared,
            stage,
            sheet,
            coatsLeft,
            ordinal: stage.coats - coatsLeft + 1,
            isLastStage: i === stages.length - 1,
            ...(over ? { over } : {}),
          };
          // One cup serves the stage: what was picked for the coat at hand is in the others too.
          const stepsSlower = stage.id === context.stage.id ? plan.inUse?.stepsSlower : undefined;
          const now = {
            minutesSince: 0,
            wetFilmUm: gunSheetOf(of).wetFilmUm!,
            ...(stepsSlower === undefined ? {} : { stepsSlower }),
          };
          // The wait alone: nothing else of a plan is wanted here.
          return ask(recoatCalculation, recoatInput(of, now)).earliestMinutes.value;
        };
        const minutes = {
          spray: Math.max(
            2,
            sprayMinutes(
              { ticket: whole.ticket, stage },
              stage.id === context.stage.id ? (plan.setup.own ?? plan.setup) : undefined,
            ),
          ),
          between: flashOf(2),
          last: flashOf(1),
        };
        return [stage.id, minutes] as const;
      }),
    );
    return ({ id, stageId }, isLastCoat) => {
      const minutes = worked.get(stageId);
      if (!minutes) return FALLBACK;
      const flash =
        id === coatId
          ? plan.recoat.earliestMinutes.value
          : isLastCoat
            ? minutes.last
            : minutes.between;
      return { spray: minutes.spray, flash };
    };
  }, [whole, context, plan, coatId]);
}
