/** What every stage card is given. */
import type { CoatPlan } from '@orthochrom/contract/plan/planCoat.ts';
import type { PlanContext } from '@orthochrom/contract/plan/planContext.ts';
import type { Painter } from '@orthochrom/contract/shop/setup.ts';
import type { StagePlan, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';

export type CardProps = {
  whole: TicketWhole;
  coat: Coat;
  stage: StagePlan;
  context: PlanContext;
  plan: CoatPlan;
  painter: Painter;
  /** Takes the ticket as the server answered it after a write. */
  keep: (whole: TicketWhole) => void;
};
