/** The rounds of care in words, and which part each item is about. */
import { CARE_ITEMS, type CareKind } from '@orthochrom/core/gun/care.ts';

export const PARTS = [
  'cap',
  'nozzle',
  'body',
  'packing',
  'needle',
  'spring',
  'fluidKnob',
  'fanKnob',
  'cup',
  'lid',
  'inlet',
] as const;
export type Part = (typeof PARTS)[number];

export const ROUND_NAME: Record<CareKind, { title: string; done: string; line: string }> = {
  cleaned: {
    done: 'Cleaned',
    title: 'Clean it',
    line: 'Right after the last coat, before the mix sets',
  },
  serviced: {
    done: 'Serviced',
    title: 'Service it',
    line: 'Taken apart, looked at, greased, put together',
  },
  firstUse: {
    done: 'Made ready for first use',
    title: 'First use',
    line: 'A new gun carries assembly oil and swarf',
  },
  reassembled: { done: 'Put together', title: 'Put it together', line: 'The order, part by part' },
};

type Item = { text: string; why?: string; parts?: Part[] };
export const ITEM: Record<string, Item> = {
  'air-off': {
    text: 'Air hose off, then the trigger until nothing comes.',
    why: 'A gun opened under pressure throws its needle.',
    parts: ['inlet'],
  },
  'empty-cup': { text: 'Cup empty: what is left goes where waste paint goes.', parts: ['cup'] },
  'back-flush': {
    text: 'Air still on: a little cleaner in the cup, shake, spray it out into the washer. Twice, until it runs clear.',
    why: 'Breathing protection, gloves, extraction on, nothing that sparks.',
    parts: ['cup', 'body'],
  },
  'head-off': {
    text: 'Needle out first, then cap and nozzle, with the spanner that fits.',
    parts: ['needle', 'cap', 'nozzle'],
  },
  holes: {
    text: 'Cap holes and nozzle: soft brush and wooden pick. No metal on nozzle, needle tip or holes.',
    why: 'A scratch there is a new pattern.',
    parts: ['cap', 'nozzle'],
  },
  vent: {
    text: 'Vent of lid or liner open, threads clean.',
    why: 'A blocked vent starves the gun in the middle of a pass.',
    parts: ['lid'],
  },
  'no-soak': {
    text: 'Nothing with the air inlet or a gauge on it lies in solvent.',
    why: 'It carries dirt into the air ways and eats the seals.',
    parts: ['inlet'],
  },
  outside: { text: 'Body wiped with a damp cloth of cleaner.', parts: ['body'] },
  lubricate: {
    text: 'Silicone-free gun lubricant on needle, threads and packing: a drop each. Never air-tool oil.',
    why: 'Silicone is fisheyes for weeks.',
    parts: ['needle', 'packing', 'fluidKnob'],
  },
  together: {
    text: 'Nozzle snug, cap with its horns for the fan you want, spring, needle last.',
    parts: ['nozzle', 'cap', 'spring', 'needle'],
  },
  'test-shot': { text: 'Air on again: a shot on paper before it hangs up.', parts: ['cap'] },
  rags: {
    text: 'Rags and strainers into the closed metal bin, under water where the safety sheet says; out of the house daily.',
    why: 'Soaked rags heat up by themselves.',
  },
  waste: {
    text: 'Left-over mix and used cleaner to hazardous waste. Hardener waste is never shut up with water.',
    why: 'It makes gas, and the tin bursts.',
  },
  strip: {
    text: 'Needle, nozzle and cap out; cap ring off if it is loose.',
    parts: ['needle', 'nozzle', 'cap'],
  },
  seals: {
    text: 'Seals and the ring of the cap: no cracks, no flat spots. Changed parts noted below.',
    parts: ['cap', 'body'],
  },
  packing: {
    text: 'Packing nut nipped up until the needle still snaps shut by itself.',
    why: 'Too tight holds the needle open, too loose draws air.',
    parts: ['packing'],
  },
  'needle-tip': {
    text: 'Needle tip and nozzle seat under a loupe: no ring, no bend.',
    parts: ['needle', 'nozzle'],
  },
  'cap-holes': { text: 'Every hole of the cap round and open against the light.', parts: ['cap'] },
  filter: {
    text: 'Filter or strainer at the cup and in the handle: new or washed.',
    parts: ['cup', 'inlet'],
  },
  'leak-check': {
    text: 'Reducer in the cup, air on, trigger shut: nothing drips at nozzle or packing.',
    why: 'Good for leaks only; a pattern is judged on paint. After water, blow every passage dry: what stays craters and rusts.',
    parts: ['nozzle', 'packing'],
  },
  'read-leaflet': {
    text: 'Its leaflet: inlet, air, the most it may have. Typed into its description here.',
  },
  'flush-oil': {
    text: 'Assembly oil flushed out with cleaner, head off and brushed.',
    parts: ['body', 'nozzle'],
  },
  travel: {
    text: 'Needle and fan: shut gently, count the turns to fully open, type them in.',
    parts: ['fluidKnob', 'fanKnob'],
  },
  'note-marks': {
    text: 'A mark on both knobs at their shut place.',
    parts: ['fluidKnob', 'fanKnob'],
  },
  nozzle: {
    text: 'Nozzle by hand, then snug with its own spanner. Not forced: the seat is soft.',
    parts: ['nozzle'],
  },
  cap: {
    text: 'Cap on, horns level for an upright fan, at a right angle for a flat one. Ring hand-tight.',
    parts: ['cap'],
  },
  spring: {
    text: 'The right spring: a wrong one makes the needle hard to close.',
    parts: ['spring'],
  },
  needle: {
    text: 'Needle last, straight in, never pushed against a nozzle that is not seated.',
    parts: ['needle'],
  },
  knobs: {
    text: 'Fluid knob in over the spring, both knobs at their marks.',
    parts: ['fluidKnob', 'fanKnob'],
  },
};

export const itemsOf = (kind: CareKind): (Item & { key: string })[] =>
  CARE_ITEMS[kind].map((key) => ({ key, ...ITEM[key]! }));

export type CareAnswer = { answer: 'done' | 'skipped'; reason?: string };
export type CareAnswers = Record<string, CareAnswer>;

/** Neither done nor skipped with a word why. */
export function isOpenIn(answers: CareAnswers, key: string): boolean {
  const given = answers[key];
  return !given || (given.answer === 'skipped' && !given.reason?.trim());
}
