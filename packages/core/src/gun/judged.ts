/**
 * Settings held against everything in force for the coat: ours and the painter's own by the same
 * rules.
 */
import { filmOf } from '../inForce/filmOf.ts';
import { nozzleBandOf } from '../inForce/nozzleBandOf.ts';
import { because, caution, type Reason, type Verdict, term } from '../outcome/verdicts.ts';
import { GUNS } from '../trade/gunClasses.ts';
import { MATERIALS, type MaterialClass } from '../trade/materialClasses.ts';
import type { OperatingPoint, SetKnobs } from './operatingPoint.ts';
import { HAND_M_PER_S } from './technique.ts';
import { bandOfWork, coatOfGun } from './inletPressure.ts';
import { presetFor } from './preset.ts';
import { limitVerdicts } from './limits.ts';
import type { GunModel } from './gunModel.ts';
import { nozzleVerdicts } from './nozzle.ts';
import { leastOverlapPercent, PINCHED_FAN_MM } from './overlap.ts';
import type { SetupInput } from './setupInput.ts';
import { dropWindowUm } from './spray.ts';

export type SetJudged = SetKnobs & { nozzleMm: number };

/** What stands against these settings on this coat, ours or the painter's own alike. */
export function verdictsOfSet(
  input: SetupInput,
  materialClass: MaterialClass,
  model: GunModel,
  set: SetJudged,
  figures: Pick<OperatingPoint, 'capKPa' | 'fanWidthMm' | 'fluidMlPerMin' | 'gunSpeedMPerS'>,
): Verdict[] {
  const { gun, sheet, part, stage, finish, capLimitKPa } = input;
  const { isBuild } = MATERIALS[materialClass];
  const { inletKPa, fanTurnsOut, overlapPercent, wetFilmUm } = set;
  const band = bandOfWork({
    ...input,
    model,
    fanTurnsOut,
    isBuild,
    airShare: presetFor(part, input.mist, input.preset).air,
  });
  const wanted = nozzleBandOf(coatOfGun({ ...input, isBuild }), sheet?.nozzleMm);
  const film = filmOf({ class: materialClass, sheet });
  return [
    ...limitVerdicts(
      gun,
      model,
      { inletKPa, capKPa: figures.capKPa, fanTurnsOut },
      { capLimitKPa, bandKPa: band.value },
    ),
    ...nozzleVerdicts(set.nozzleMm, wanted.value),
    ...(film.source === 'sheet' && wetFilmUm > film.value.mostUm * ROUNDED
      ? [
          caution('film-over-sheet', {
            wetUm: wetFilmUm,
            // The most it has; what this one coat is aimed at may be less.
            sheetUm: sheet?.wetFilmBandUm ? film.value.mostUm : film.value.aimUm,
          }),
        ]
      : []),
    ...(overlapPercent < leastOverlapPercent(stage, finish)
      ? [caution('overlap-low', { overlapPercent })]
      : []),
    ...sprayVerdicts({ part, gun }, figures),
  ];
}

/** A fan pinched, a gun too small for the panel, a needle shut. */
function sprayVerdicts(
  { part, gun }: Pick<SetupInput, 'part' | 'gun'>,
  {
    fanWidthMm,
    fluidMlPerMin,
    gunSpeedMPerS,
  }: Pick<OperatingPoint, 'fanWidthMm' | 'fluidMlPerMin' | 'gunSpeedMPerS'>,
): Verdict[] {
  const isNarrowWork = part === 'jamb' || part === 'spot' || GUNS[gun.class].isSmall;
  const isShut = fluidMlPerMin <= 0;
  const shut = { what: term('needleShut'), range: term('paintFlowing') };
  return [
    ...(fanWidthMm < PINCHED_FAN_MM && !isNarrowWork
      ? [caution('fan-pinched', { fanWidthMm })]
      : []),
    ...(part === 'largePanel' && !isShut && gunSpeedMPerS < TOO_SMALL_M_PER_S
      ? [caution('gun-too-small', { gunSpeedMPerS })]
      : []),
    ...(isShut ? [caution('beyond-formula', shut)] : []),
  ];
}
/** A hand slower than this is no hand: the gun gives too little paint for the panel. */
const TOO_SMALL_M_PER_S = 0.15;
/** Aims are whole µm. */
const ROUNDED = 1.02;

/** Whether the drops suit this paint, and whether an arm can hold the hand. */
export function reasonsOfSet(
  { gun }: Pick<SetupInput, 'gun'>,
  materialClass: MaterialClass,
  { dropletUm, gunSpeedMPerS }: Pick<OperatingPoint, 'dropletUm' | 'gunSpeedMPerS'>,
): Reason[] {
  return [
    ...handReasons(gunSpeedMPerS),
    ...dropReasons(dropletUm?.value, dropWindowUm(materialClass, gun.class)),
  ];
}

/** A hand that no arm holds steady is told, not hidden. */
function handReasons(gunSpeedMPerS: number): Reason[] {
  if (gunSpeedMPerS > HAND_M_PER_S.quickest)
    return [because('hand-too-quick', 'model', { gunSpeedMPerS })];
  return gunSpeedMPerS < HAND_M_PER_S.slowest
    ? [because('hand-too-slow', 'model', { gunSpeedMPerS })]
    : [];
}

function dropReasons(
  dropletUm: number | undefined,
  [lowUm, highUm]: readonly [number, number],
): Reason[] {
  if (dropletUm === undefined) return [];
  const params = { dropletUm, lowUm, highUm };
  if (dropletUm > highUm) return [because('drops-coarse', 'model', params)];
  return [
    dropletUm < lowUm
      ? because('drops-fine', 'model', params)
      : because('drops-right', 'model', params),
  ];
}
