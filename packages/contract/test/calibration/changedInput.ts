/** A coat asked with other settings or in other air, all else as it was. */
import type { InputOf } from '../../src/registry.ts';

type Input = InputOf<'coat'>;
export const set = (input: Input, settings: Partial<Input['settings']>): Input => ({
  ...input,
  settings: { ...input.settings, ...settings },
});
export const air = (input: Input, climate: Partial<Input['climate']>): Input => ({
  ...input,
  climate: { ...input.climate, ...climate },
});
