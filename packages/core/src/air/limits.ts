/**
 * Where no sheet speaks (MODEL 2). A sheet's own limit replaces the stop; a caution stays
 * where it still lies inside.
 */
export type Limits = {
  minPanelC?: number;
  maxPanelC?: number;
  minMaterialC?: number;
  maxHumidityPercent?: number;
  minMarginC?: number;
  maxAirC?: number;
};

export const DEFAULT_LIMITS: Required<Limits> = {
  minPanelC: 15.6,
  maxPanelC: 40,
  minMaterialC: 15.6,
  maxHumidityPercent: 85,
  minMarginC: 3,
  maxAirC: 40,
};

/** About where paint flows as its sheet means it to (MODEL 4). */
export const FLOWS_WELL_C = 22;

export const CAUTION_FROM = { airC: 32, humidityPercent: 70, marginC: 5, materialC: 18 } as const;

/** The limits that rule: each of the sheet's own, else the default of MODEL 2; °C and per cent. */
export const limitsInForce = (sheet: Limits = {}): Required<Limits> => ({
  ...DEFAULT_LIMITS,
  ...definedOf(sheet),
});

const definedOf = (limits: Limits): Limits =>
  Object.fromEntries(Object.entries(limits).filter(([, value]) => value !== undefined));
