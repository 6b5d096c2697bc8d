/** How the last coat of each gun left its knobs: a preset for small work is to be undone. */
import type { KnobsLeft, ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import type { EntityManager } from 'typeorm';
import { prepared } from '../database/prepared.ts';

export async function knobsLeft(manager: EntityManager): Promise<ShopSetup['knobs']> {
  // Of what was planned only what a knob is read from: a plan is most of a coat.
  const rows = await prepared<{
    gun_id: string;
    part: KnobsLeft['part'];
    done: Record<string, { value: number }>;
    setup: KnobsLeft | null;
    work: Pick<KnobsLeft, 'part' | 'mist'> | null;
  }>(
    manager,
    `select g.id as gun_id, s.part, c.done, c.planned #> '{answers,setup}' as setup,
       c.planned #> '{inputs,setup}' as work
     from gun g
     cross join lateral (select stage_id, done, planned from coat
       where gun_id = g.id and ended_at is not null order by ended_at desc limit 1) c
     join stage s on s.id = c.stage_id`,
    [],
  );
  return Object.fromEntries(
    rows.flatMap(({ gun_id, part, done, setup, work }) => {
      const [fanTurnsOut, fluidTurnsOut] = [
        done['fanTurnsOut']?.value ?? setup?.fanTurnsOut,
        done['fluidTurnsOut']?.value ?? setup?.fluidTurnsOut,
      ];
      return fanTurnsOut === undefined || fluidTurnsOut === undefined
        ? []
        : [
            [
              gun_id,
              {
                part: work?.part ?? part,
                ...(work?.mist ? { mist: true } : {}),
                fanTurnsOut,
                fluidTurnsOut,
              },
            ] as const,
          ];
    }),
  );
}
