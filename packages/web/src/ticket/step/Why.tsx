/** The reasons behind what is shown, strongest first, and how sure they are. */
import type { CoatPlan } from '@orthochrom/contract/plan/planCoat.ts';
import { ReasonList } from '../../verdict/Verdicts.tsx';
import type { Step } from '../coatSteps.ts';

type WhyProps = { plan: CoatPlan; step: Step; gatePassed: boolean };

export function Why({ plan, step, gatePassed }: WhyProps) {
  const reasons =
    step === 'flash' || step === 'spray'
      ? plan.recoat.reasons
      : step === 'gun'
        ? plan.setup.reasons
        : [...plan.reducer.reasons, ...(plan.mix?.reasons ?? [])];
  return (
    <div className="stack">
      {step === 'gate' && (
        <p>
          This asks, it does not clear anyone. Asked for each stage, room and painter, every day,
          and when the room or the product changes; kept with the coat.
        </p>
      )}
      {gatePassed || step === 'air' ? (
        <ReasonList reasons={reasons} />
      ) : (
        <p className="quiet">
          Reasons for recipe and settings stand here once the gate has passed.
        </p>
      )}
      <p className="quiet">
        How sure: times ±35 %, rates of drying ±30 %, until this shop’s own tests narrow them. The
        sheet goes first; your override goes before both, never before a stop.
      </p>
    </div>
  );
}
