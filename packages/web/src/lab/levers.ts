/**
 * Which of the four levers did what between two set-ups: each moved by itself, in the order in
 * which they are taught. Pure.
 */
import { AS_KNOWN } from '@orthochrom/core/coat/simulateCoat.ts';
import { planOf } from '@orthochrom/core/coat/plan.ts';
import { sprayedBy } from '@orthochrom/core/coat/sprayedCoat.ts';
import { LEVERS, withSettings, type LabSetup } from './labSetup.ts';

export type LeverDid = {
  lever: (typeof LEVERS)[number];
  filmShare: number;
  dropShare: number;
  wetShare: number;
};

function sprayed(setup: LabSetup) {
  const { plan } = planOf(setup as Parameters<typeof planOf>[0]);
  const first = plan.coats[0]!;
  return sprayedBy(plan.rig, first.model, first.settings, AS_KNOWN);
}

/** Shares over 1 are more; a lever that stayed put is left out. */
export function leversBetween(a: LabSetup, b: LabSetup): LeverDid[] {
  let here = {
    ...b,
    settings: {
      ...b.settings,
      ...Object.fromEntries(LEVERS.map((lever) => [lever, a.settings[lever]])),
    },
  } as LabSetup;
  let was = sprayed(here);
  return LEVERS.flatMap((lever) => {
    const [from, to] = [a.settings[lever], b.settings[lever]];
    if (from === undefined || to === undefined || Math.abs(from - to) < 1e-9) return [];
    here = withSettings(here, { [lever]: to });
    const is = sprayed(here);
    const did = {
      lever,
      filmShare: is.filmM / Math.max(1e-12, was.filmM),
      dropShare: is.spray.sauterUm / Math.max(1e-9, was.spray.sauterUm),
      wetShare: is.wetness / Math.max(1e-9, was.wetness),
    };
    was = is;
    return [did];
  });
}
