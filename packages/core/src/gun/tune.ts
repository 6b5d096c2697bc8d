/**
 * From what is seen on paper or panel to one change at a time, the likeliest first; or to the fault
 * of the gun that no knob mends. Sizes are solved on the gun's own drops and landing (MODEL 17.4).
 */
import type { Carrier, Finish, Place, Stage } from '../trade/vocabulary.ts';
import {
  because,
  caution,
  type Explained,
  type Reason,
  type Verdict,
} from '../outcome/verdicts.ts';
import { GUNS, USUAL_GUN_CLASS } from '../trade/gunClasses.ts';
import { MATERIALS, type MaterialClass } from '../trade/materialClasses.ts';
import type { Gun, KnownSettings, Settings } from './gun.ts';
import { gunOutput } from './gunOutput.ts';
import { paintInCup, USUAL_ROOM_AIR } from './paintInCup.ts';
import { testedModelOf } from './testedModel.ts';
import { bandOfWork, capAtInlet, mostInletKPa } from './inletPressure.ts';
import { limitVerdicts } from './limits.ts';
import { PINCHED_FAN_MM } from './overlap.ts';
import type { PatternSymptom } from './patternSymptoms.ts';
import { completed } from './completed.ts';
import { stepsFor, type TuneStep } from './tuneSteps.ts';
import type { TuneBounds } from './tuneKnobs.ts';
import type { GunSheet, Preferences } from './preferences.ts';

export type TuneInput = {
  settings: Settings;
  seen: PatternSymptom[];
  stage: Stage;
  carrier: Carrier;
  class?: MaterialClass;
  finish?: Finish;
  gun?: Gun;
  sheet?: GunSheet;
  way?: Preferences;
  place?: Place;
  capLimitKPa?: number;
};
/** Cause ids of the fault knowledge. */
export type GunFault = 'cap_blocked' | 'tip_worn' | 'air_in_fluid' | 'vent_blocked';
export type TuneAnswer = Explained & {
  steps: TuneStep[];
  settings: Settings;
  fault?: { id: GunFault };
};

/** No knob mends these. */
const FAULT_OF: Partial<Record<PatternSymptom, GunFault>> = {
  oneEndHeavy: 'cap_blocked',
  crescent: 'cap_blocked',
  tilted: 'tip_worn',
  flutter: 'air_in_fluid',
  starved: 'vent_blocked',
};
const OPEN_ENOUGH = 0.95;
/** Tuning is about one change against another: the usual air will do. */
/** Less air than this under the band's foot is not offered. */
const UNDER_FOOT = 0.85;

/**
 * The one next change for what is seen, with its size, and what to try after it; a fault of the gun
 * that no knob mends is named instead.
 */
export function tuneOf(input: TuneInput): TuneAnswer {
  const { seen, gun = { class: USUAL_GUN_CLASS, nozzlesMm: [input.settings.nozzleMm ?? 1.3] } } =
    input;
  const { settings, defaulted } = completed(input, gun);
  const bounds = roomFor(input, gun, settings);
  const fault =
    seen.map((sight) => FAULT_OF[sight]).find(Boolean) ?? narrowThoughOpen(seen, settings, bounds);
  const steps = fault
    ? []
    : stepsFor(seen, settings, bounds, {
        isNeedleOpen: input.way?.needle === 'open',
        ownNozzlesMm: gun.nozzlesMm,
      });
  const after = steps[0] ? { ...input.settings, [steps[0].knob]: steps[0].to } : input.settings;
  return {
    steps,
    settings: after,
    ...(fault ? { fault: { id: fault } } : {}),
    verdicts: verdictsOf(input, gun, bounds, { ...settings, ...after }, fault),
    reasons: reasonsOf(input, steps, defaulted),
  };
}

function roomFor(
  { stage, carrier, class: materialClass, sheet, capLimitKPa }: TuneInput,
  gun: Gun,
  settings: KnownSettings,
): TuneBounds {
  const paint = paintInCup({ stage, carrier, class: materialClass });
  const model = testedModelOf({ gun, paint, roomAir: USUAL_ROOM_AIR }, settings.nozzleMm);
  const { fanTurnsOut } = settings;
  const { isBuild } = MATERIALS[paint.materialClass];
  const bandKPa = bandOfWork({
    gun,
    model,
    fanTurnsOut,
    stage,
    carrier,
    isBuild,
    sheet,
    capLimitKPa,
  }).value;
  const [lowKPa, highKPa] = bandKPa;
  return {
    model,
    rig: { model, paint, materialClass: paint.materialClass, roomAir: USUAL_ROOM_AIR },
    bandKPa,
    leastKPa: Math.min(lowKPa * UNDER_FOOT, settings.inletKPa),
    mostKPa: Math.floor(Math.min(highKPa, mostInletKPa({ gun, model, fanTurnsOut, capLimitKPa }))),
    mostAtFanKPa: (turns) => mostInletKPa({ gun, model, fanTurnsOut: turns, capLimitKPa }),
  };
}

const narrowThoughOpen = (
  seen: readonly PatternSymptom[],
  { fanTurnsOut }: KnownSettings,
  { model }: TuneBounds,
): GunFault | undefined =>
  seen.includes('narrow') && fanTurnsOut >= OPEN_ENOUGH * model.fullFanTurns
    ? 'cap_blocked'
    : undefined;

function verdictsOf(
  input: TuneInput,
  gun: Gun,
  bounds: TuneBounds,
  after: KnownSettings,
  fault: GunFault | undefined,
): Verdict[] {
  const { capLimitKPa, seen } = input;
  const { model, bandKPa } = bounds;
  const capKPa = capAtInlet(model, after.inletKPa, after.fanTurnsOut);
  const verdicts: Verdict[] = [];
  if (fault) verdicts.push(caution('gun-fault', { name: fault, check: fault }));
  if (seen.includes('pullingApart')) verdicts.push(caution('thin-or-contaminated'));
  const { inletKPa, fanTurnsOut } = after;
  verdicts.push(
    ...limitVerdicts(gun, model, { inletKPa, capKPa, fanTurnsOut }, { capLimitKPa, bandKPa }),
  );
  const { fanWidthMm } =
    after.fanWidthMm === undefined ? gunOutput(gun, model, bounds.rig.paint, after) : after;
  if (fanWidthMm! < PINCHED_FAN_MM && !GUNS[gun.class].isSmall)
    verdicts.push(caution('fan-pinched', { fanWidthMm: fanWidthMm! }));
  if (!isOnlyEven(seen) && !fault) verdicts.push(caution('test-panel-first'));
  return verdicts;
}

const isOnlyEven = (seen: readonly PatternSymptom[]): boolean =>
  seen.every((sight) => sight === 'even');

function reasonsOf(
  { seen }: TuneInput,
  steps: readonly TuneStep[],
  defaulted: readonly string[],
): Reason[] {
  if (isOnlyEven(seen)) return [because('pattern-even', 'rule')];
  return [
    ...(steps.length > 0 ? [because('one-change', 'rule'), because('solved-on-gun', 'model')] : []),
    ...(steps.length > 0 && defaulted.length > 0
      ? [because('settings-defaulted', 'rule', { settings: defaulted.join(', ') })]
      : []),
  ];
}
