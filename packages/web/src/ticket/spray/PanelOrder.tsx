/** The order of spraying as a list: what comes when, from where, where the cup is filled again. */
import type { RouteOn } from '@orthochrom/contract/plan/routeOn.ts';
import { ReasonList, VerdictList } from '../../verdict/Verdicts.tsx';
import { stepSaid, waySaid, type Step } from './routeWords.ts';

type PanelOrderProps = { route: RouteOn; isStepDone?: (step: Step) => boolean };

export function PanelOrder({ route, isStepDone }: PanelOrderProps) {
  const { order, refills = [], sections = [], verdicts, reasons } = route;
  const sectionOf = (panel: string): number => sections.findIndex((keys) => keys.includes(panel));
  return (
    <section className="stack" aria-label="Order of panels">
      <h3>Round the car</h3>
      <VerdictList verdicts={verdicts} hideGo />
      <ol>
        {order.map((step, i) => {
          const isFilled = refills.some(
            ({ before, side }) => before === step.panel && side === step.side,
          );
          const before = order[i - 1];
          const isBreak = before && sectionOf(before.panel) !== sectionOf(step.panel);
          return (
            <li key={`${step.panel} ${step.side ?? ''}`}>
              {isBreak && <em>Break at the shut line. </em>}
              {isFilled && <em>Fill the cup. </em>}
              <strong>{stepSaid(step)}</strong>
              {isStepDone?.(step) ? ', done' : `: ${waySaid(route, step)}`}
            </li>
          );
        })}
      </ol>
      {route.rims && <p>Then the rims, dusted, round the car.</p>}
      <ReasonList reasons={reasons} />
    </section>
  );
}
