/**
 * Turns a template and its figures into a sentence. The ending of a placeholder's name gives the
 * unit.
 */

/** Figures and words, no codes: what a template is filled with. */
export type PlainParams = Record<string, number | string>;

/** Writes one figure with its unit. The screen gives its own, in the painter's units. */
export type FigureWriter = (value: number, name: string) => string;

const plain = (value: number, decimals: number): string => {
  const rounded = Number(value.toFixed(decimals));
  return String(Object.is(rounded, -0) ? 0 : rounded);
};

const ENDINGS: [RegExp, (value: number) => string][] = [
  [/CPerMin$/, (v) => `${plain(v, 1)} °C/min`],
  [/MPerS$/, (v) => `${plain(v, 2)} m/s`],
  [/MlPerMin$/, (v) => `${plain(v, 0)} ml/min`],
  [/LPerMin$/, (v) => `${plain(v, 0)} L/min`],
  [/GPerL$/, (v) => `${plain(v, 0)} g/L`],
  [/KPa$/, (v) => `${plain(v, 0)} kPa`],
  [/Percent$|^percent$/, (v) => `${plain(v, Math.abs(v) < 20 ? 1 : 0)} %`],
  [/Minutes$|^minutes/, (v) => `${plain(v, v < 3 ? 1 : 0)} min`],
  [/Seconds$|^seconds$/, (v) => `${plain(v, 0)} s`],
  [/Mm$/, (v) => `${plain(v, v < 10 ? 1 : 0)} mm`],
  [/Um$/, (v) => `${plain(v, 0)} µm`],
  [/Ml$/, (v) => `${plain(v, 0)} ml`],
  [/C$/, (v) => `${plain(v, 1)} °C`],
  [/Factor$|^factor$/, (v) => plain(v, 2)],
];

/** Canonical units, as the command line and the API say it. */
export const canonicalFigure: FigureWriter = (value, name) =>
  ENDINGS.find(([ending]) => ending.test(name))?.[1](value) ?? plain(value, 2);

/**
 * Fills a template.
 * @throws Error for a placeholder without a figure: a mistake in a catalogue, found by its test
 */
export function say(
  template: string,
  params: PlainParams = {},
  figure: FigureWriter = canonicalFigure,
): string {
  return template.replace(/\{(\w+)\}/g, (_, key: string) => {
    const value = params[key];
    if (value === undefined) throw new Error(`no figure for {${key}} in "${template}"`);
    return typeof value === 'number' ? figure(value, key) : value;
  });
}
