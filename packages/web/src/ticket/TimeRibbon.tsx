import { sprayMinutes } from '@orthochrom/contract/plan/planCoat.ts';
import { middle, recipeOf, type PlanContext } from '@orthochrom/contract/plan/planContext.ts';
import { recoatInput } from '@orthochrom/contract/plan/planInputs.ts';
import { ask } from '@orthochrom/contract/registry.ts';
import type { TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import { useElementSize } from '@mantine/hooks';
import { useMemo } from 'react';
import { liveMix } from './coatSteps.ts';
import { layOutRibbon, ribbonBlocks, type StageMinutes } from './ribbonLayout.ts';
import styles from './TimeRibbon.module.css';

const FALLBACK = { spray: 5, flash: 12 };

/** What was done when, and what is left, at today's waits. */
export function TimeRibbon({ whole, context, nowMs }: { whole: TicketWhole; context: PlanContext; nowMs: number }) {
  const { ref, width } = useElementSize();
  const widthPx = Math.max(320, width);
  const minutesOf = useStageMinutes(whole, context);
  const layout = useMemo(
    () => layOutRibbon(ribbonBlocks(whole, nowMs, minutesOf), nowMs, { widthPx, padPx: 12 }),
    [whole, nowMs, minutesOf, widthPx],
  );
  const potLife = liveMix(whole.mixes, context.stage.id, nowMs)?.potLifeEndsAt;
  const clock = (ms: number) => new Date(ms).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
  return (
    <section className={styles['ribbon']} aria-label="Clock of this ticket" ref={ref}>
      <svg width={widthPx} height={80} role="img" aria-label={`All coats dry to touch by about ${clock(layout.endMs)}`}>
        {layout.blocks.map((block) => (
          <g key={block.key} className={`${styles[block.kind]} ${block.isDone ? styles['done'] : ''}`}>
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
            {clock(atMs)}
          </text>
        ))}
        <line x1={layout.nowPx} x2={layout.nowPx} y1={10} y2={58} className={styles['now']} />
        <text x={layout.nowPx + 5} y={15} className={styles['nowText']}>
          now {clock(nowMs)} · dry to touch by about {clock(layout.endMs)}
          {potLife ? ` · this mix is good until ${clock(Date.parse(potLife))}` : ''}
        </text>
      </svg>
    </section>
  );
}

/** Waits of each stage in the air as it is. */
function useStageMinutes(whole: TicketWhole, context: PlanContext): StageMinutes {
  return useMemo(() => {
    const worked = new Map(
      whole.ticket.stages.map((stage, i) => {
        const sheet = whole.sheets.find(({ id }) => id === stage.sheetVersionId)?.sheet;
        const flashOf = (coatsLeft: number): number => {
          if (!sheet) return FALLBACK.flash;
          const of = { ...context, stage, sheet, coatsLeft, isLastStage: i === whole.ticket.stages.length - 1 };
          // The wait alone: nothing else of a plan is wanted here.
          const { earliestMinutes } = ask(
            'recoat',
            recoatInput(of, { minutesSince: 0, wetFilmUm: middle(recipeOf(of).wetFilmUm) }),
          );
          return earliestMinutes.value;
        };
        return [
          stage.id,
          {
            spray: Math.max(2, sprayMinutes({ ticket: whole.ticket, stage })),
            between: flashOf(2),
            last: flashOf(1),
          },
        ] as const;
      }),
    );
    return (stageId, isLastCoat) => {
      const minutes = worked.get(stageId);
      return minutes ? { spray: minutes.spray, flash: isLastCoat ? minutes.last : minutes.between } : FALLBACK;
    };
  }, [whole, context]);
}
