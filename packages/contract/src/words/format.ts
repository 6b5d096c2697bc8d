/** Figures in the painter's own units, rounded as the tool in the hand can show them. */
import { convert } from '@orthochrom/core/units/convert.ts';
import type { Units } from '../shop/setup.ts';
import { canonicalFigure, type FigureWriter } from './say.ts';

export type Figure = { text: string; unit: string };

export const SYMBOL = {
  C: '°C',
  F: '°F',
  kPa: 'kPa',
  bar: 'bar',
  psi: 'psi',
  mm: 'mm',
  in: 'in',
  um: 'µm',
  mil: 'mil',
  ml: 'ml',
  flOzUs: 'fl oz',
  flOzImp: 'fl oz imp',
  m2: 'm²',
  ft2: 'ft²',
} as const;
/** Hose sizes are sold in sixteenths of an inch. */
function sixteenths(inches: number): string {
  const parts = Math.round(inches * 16);
  let [top, bottom] = [parts, 16];
  while (top % 2 === 0 && bottom > 1) [top, bottom] = [top / 2, bottom / 2];
  const whole = Math.floor(top / bottom);
  const rest = top % bottom;
  return rest === 0 ? String(whole) : `${whole > 0 ? `${whole} ` : ''}${rest}/${bottom}`;
}
const fixed = (value: number, decimals: number): string => {
  const text = value.toFixed(decimals);
  return Number(text) === 0 ? (0).toFixed(decimals) : text;
};
const QUARTERS = ['', '¼', '½', '¾'];

/** 2.75 → "2¾": knobs are held in quarter turns. */
export function turnsText(turns: number): string {
  const quarters = Math.round(turns * 4);
  const whole = Math.floor(quarters / 4);
  const part = QUARTERS[quarters % 4]!;
  return part ? `${whole === 0 ? '' : whole}${part}` : String(whole);
}

export const minutesText = (minutes: number): string => {
  const whole = Math.round(minutes);
  if (whole < 100) return `${whole} min`;
  return whole < 2880
    ? `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`
    : `${(whole / 1440).toFixed(0)} days`;
};

export const secondsText = (seconds: number): string => {
  const whole = Math.round(seconds);
  return whole < 100 ? `${whole} s` : minutesSeconds(whole);
};
const minutesSeconds = (whole: number): string =>
  whole < 3600
    ? `${Math.floor(whole / 60)} min ${whole % 60 === 0 ? '' : `${whole % 60} s`}`.trim()
    : minutesText(whole / 60);

/** 5 ml on a full cup, half a millilitre on a small part: what a mark or a syringe can show. */
const roundMl = (ml: number): number =>
  Math.abs(ml) >= 100
    ? Math.round(ml / 5) * 5
    : Math.abs(ml) >= 50
      ? Math.round(ml)
      : Math.round(ml * 2) / 2;

export type Format = ReturnType<typeof formatFor>;

export function formatFor(units: Units) {
  const temperature = (c: number): Figure => ({
    text: fixed(convert(c, 'C', units.temperature), units.temperature === 'C' ? 1 : 0),
    unit: SYMBOL[units.temperature],
  });
  const difference = (c: number): Figure =>
    units.temperature === 'C'
      ? { text: fixed(c, 1), unit: '°C' }
      : { text: fixed(convert(c, 'deltaC', 'deltaF'), 0), unit: '°F' };
  const pressure = (kPa: number): Figure => ({
    text: fixed(convert(kPa, 'kPa', units.pressure), units.pressure === 'bar' ? 2 : 0),
    unit: SYMBOL[units.pressure],
  });
  const length = (mm: number): Figure => ({
    text: fixed(convert(mm, 'mm', units.length), units.length === 'in' ? 1 : 0),
    unit: SYMBOL[units.length],
  });
  const film = (um: number): Figure => ({
    text: fixed(convert(um, 'um', units.film), units.film === 'mil' ? 1 : 0),
    unit: SYMBOL[units.film],
  });
  const volume = (ml: number): Figure =>
    units.volume === 'ml'
      ? { text: String(roundMl(ml)), unit: 'ml' }
      : { text: fixed(convert(ml, 'ml', units.volume), 1), unit: SYMBOL[units.volume] };
  const area = (m2: number): Figure => ({
    text: fixed(convert(m2, 'm2', units.area), units.area === 'm2' ? 2 : 1),
    unit: SYMBOL[units.area],
  });
  const bore = (mm: number): Figure =>
    units.length === 'in'
      ? { text: sixteenths(mm / 25.4), unit: 'in' }
      : { text: String(Number(mm.toFixed(1))), unit: 'mm' };
  const metres = (m: number): Figure =>
    units.length === 'in'
      ? { text: fixed(convert(m, 'm', 'ft'), 0), unit: 'ft' }
      : { text: String(Number(m.toFixed(1))), unit: 'm' };
  const airFlow = (litres: number): Figure =>
    units.length === 'in'
      ? { text: fixed(convert(litres, 'lPerMin', 'cfm'), 1), unit: 'cfm' }
      : { text: fixed(litres, 0), unit: 'L/min' };
  const tank = (litres: number): Figure =>
    units.volume === 'ml'
      ? { text: fixed(litres, 0), unit: 'L' }
      : {
          text: fixed(convert(litres, 'l', units.volume === 'flOzImp' ? 'galImp' : 'galUs'), 0),
          unit: units.volume === 'flOzImp' ? 'gal imp' : 'gal',
        };
  const joined = ({ text, unit }: Figure) => `${text} ${unit}`;

  /** For the catalogue's sentences: the ending of the name tells the quantity. */
  const inWords: FigureWriter = (value, name) => {
    if (/margin\w*C$|Margin\w*C$/.test(name)) return joined(difference(value));
    if (/CPerMin$/.test(name)) return `${joined(difference(value))}/min`;
    if (/C$/.test(name)) return joined(temperature(value));
    if (/KPa$/.test(name)) return joined(pressure(value));
    if (/Mm$/.test(name) && !/nozzle|^lowMm$|^highMm$/i.test(name)) return joined(length(value));
    if (/Um$/.test(name)) return joined(film(value));
    if (/LPerMin$/.test(name) && !/Ml/.test(name)) return joined(airFlow(value));
    if (/Ml$/.test(name)) return joined(volume(value));
    if (/Seconds$|^seconds$/.test(name)) return secondsText(value);
    if (/Minutes$|^minutes/.test(name) && value >= 3) return minutesText(value);
    return canonicalFigure(value, name);
  };
  return {
    temperature,
    difference,
    pressure,
    supplyPressure: pressure,
    length,
    film,
    volume,
    area,
    bore,
    metres,
    airFlow,
    tank,
    inWords,
    joined,
  };
}

/** An amount of the shop's money, as it writes it. */
export const moneyText = (amount: number, currency = ''): string =>
  `${currency ? `${currency}\u00a0` : ''}${amount.toFixed(2)}`;
