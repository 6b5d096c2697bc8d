/**
 * A coat's settings as they stand: ours where nothing was overridden, the painter's where it was.
 */
import type { AnswerOf } from '../registry.ts';
import { settingNames, type Coat, type Overrides, type SettingName } from '../shop/coat.ts';
import { takenSetup } from './takenPlan.ts';

export type SetNow = Record<SettingName, number>;

export function chosenValue(
  setup: Pick<AnswerOf<'setup'>, SettingName>,
  overrides: Overrides,
  name: SettingName,
): number {
  const own = overrides[name]?.chosen;
  return typeof own === 'number' ? own : setup[name];
}

export const settingsNow = (
  setup: Pick<AnswerOf<'setup'>, SettingName>,
  overrides: Overrides,
): SetNow =>
  Object.fromEntries(
    settingNames.map((name) => [name, chosenValue(setup, overrides, name)]),
  ) as SetNow;

/** Of a plan that was taken; undefined while none is. */
export function ownSettings(coat: Pick<Coat, 'planned' | 'overrides'>): SetNow | undefined {
  const setup = takenSetup(coat);
  return setup && settingsNow(setup, coat.overrides);
}
