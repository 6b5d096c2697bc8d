/** Making ready in the painter's words: what to do first, then how. */
import type { PrepStep } from '@orthochrom/contract/plan/prepList.ts';
import type { PrepKind } from '@orthochrom/core/prep/stepKinds.ts';

type Words = { title: string; how: string[] };

const WORDS: Record<PrepKind, Words> = {
  wash: {
    title: 'Wash',
    how: [
      'Soap and water, rinse, dry.',
      'Blow the seams dry: water comes out of them for an hour.',
    ],
  },
  degrease: {
    title: 'Degrease',
    how: ['Two cloths: one wet, one dry right behind it.', 'Gloves, extraction, no flame.'],
  },
  inspect: {
    title: 'Look along it with the torch',
    how: [
      'Flat along the panel: dents, scratches, pores, edges.',
      'Mark each, mend it, look again.',
    ],
  },
  tapePull: {
    title: 'Pull a tape',
    how: [
      'A sanded spot where nobody looks: an X cut to the metal.',
      'Press the tape on, pull it back on itself at once.',
    ],
  },
  solventRub: {
    title: 'Rub it with solvent',
    how: [
      'A cloth wet with the strongest reducer of the plan, laid on for 30 s.',
      'Then ten double rubs. Gloves, extraction, no flame.',
    ],
  },
  decide: {
    title: 'Ask the customer',
    how: [
      'Say what is advised and what follows without it.',
      'What is declined is kept in the customer’s own words.',
    ],
  },
  testPatch: {
    title: 'Spray a test patch',
    how: [
      'The whole system on a hand’s breadth, with the wettest coat.',
      'Its flash and half an hour, then a tape.',
    ],
  },
  card: {
    title: 'Spray a card',
    how: [
      'Over the ground that was chosen, all coats, dry.',
      'Beside the car in three lights: sun, shade, lamp.',
    ],
  },
  guideCoat: {
    title: 'Dust on a guide coat',
    how: ['Thin, in another colour, over all of the primer.'],
  },
  sand: { title: 'Sand', how: [] },
  edges: {
    title: 'Look for edges',
    how: [
      'No mask line, no feather to be seen under the torch: smooth to the finger is not enough.',
    ],
  },
  throughs: { title: 'Any cut through?', how: ['Look for rings: at edges, on swage lines.'] },
  dustOff: {
    title: 'Blow the dust off',
    how: ['Seams and gaps first, then the faces. Dust mask on.'],
  },
  degreaseAfter: {
    title: 'Degrease again',
    how: ['New cloths: dust and finger grease come off together.'],
  },
  mask: { title: 'Mask', how: ['Paper and film tight; nothing flutters in the air of the gun.'] },
  backMask: {
    title: 'Back-mask',
    how: ['Tape folded back on itself where paint ends, in gaps and where it fades.'],
  },
  silicone: {
    title: 'Silicone in this room?',
    how: ['Spray, dressing, detailer: when was any last used in here?'],
  },
  airSupply: {
    title: 'Check the breathing line',
    how: ['Filter date, monitor, intake away from exhaust, hose whole, flow at the mask.'],
  },
  wetFloor: {
    title: 'Wet the floor',
    how: ['No lead and no lamp in the water. A film, no puddles.'],
  },
  fansOn: {
    title: 'Fans on',
    how: ['Extraction five minutes before you blow off for the last time.'],
  },
  suit: {
    title: 'Suit and gloves',
    how: [
      'Blow yourself off outside, then suit and new gloves; nothing bare touches the panel now.',
    ],
  },
  wipe: {
    title: 'Last wipe',
    how: [
      'New gloves; two new cloths, one wet, one dry.',
      'An arm’s length at a time, the dry face follows before it evaporates.',
      'A clean face each time. Edges, flanges and tape border last.',
      'Then look at the cloth.',
    ],
  },
  blow: { title: 'Blow off', how: ['Gaps first, from above down, extraction on.'] },
  tack: {
    title: 'Tack',
    how: ['Cloth folded open, lightly, once over: pressed, its wax makes craters.'],
  },
  promoter: {
    title: 'Adhesion promoter',
    how: ['On bare plastic, thin, once; its own wait from its sheet.'],
  },
  look: { title: 'Look before', how: ['Flat, no stripes, no dust, nothing to bury?'] },
  waste: {
    title: 'Waste',
    how: [
      'Hardener rests stay in an open tin, outside: closed they build gas and burst.',
      'Soaked rags into a closed metal bin, out daily: they take fire by themselves.',
    ],
  },
  adhesionTest: {
    title: 'Pull a tape when dry',
    how: ['On the patch, an X cut; pull it at once.'],
  },
};

const ANSWERS: Record<string, string> = {
  done: 'Done',
  nothing: 'Nothing found',
  found: 'Something found',
  holds: 'Nothing comes',
  edge: 'Slivers at the cut',
  comesOff: 'More comes off',
  tacky: 'It gets tacky',
  wrinkles: 'It wrinkles',
  tintsCloth: 'It tints the cloth',
  declined: 'Declined',
  held: 'It held',
  lifted: 'It lifted',
  matches: 'It matches',
  differs: 'It differs',
  matt: 'Matt all over',
  glossLeft: 'Gloss is left',
  unseen: 'None to be seen',
  seen: 'One can be seen',
  none: 'None',
  some: 'Some',
  never: 'Never',
  longAgo: 'Over six months',
  recent: 'Under six months',
  notKnown: 'Nobody knows',
  checked: 'All checked',
  notChecked: 'Not checked',
  clean: 'Cloth is clean',
  stillDirty: 'Cloth is dirty',
};
/** Two kinds say the same word for another thing. */
const OWN_ANSWERS: Partial<Record<PrepKind, Record<string, string>>> = {
  solventRub: { nothing: 'Nothing happens' },
  decide: { done: 'The advice is followed' },
};

export const answerWord = (kind: PrepKind, answer: string): string =>
  OWN_ANSWERS[kind]?.[answer] ?? ANSWERS[answer] ?? answer;

const REACH = { edgeToEdge: 'edge to edge, recesses too', pastTheCoat: 'past where the coat ends' };
const TOOL = {
  block: 'block',
  interfacePad: 'interface pad',
  finePadAndPaste: 'fine pad and paste',
};
const WET = { dry: 'dry only', either: 'wet or dry' };
const WIPED = {
  soap: 'soap and water',
  solvent: 'solvent cleaner',
  mildSolvent: 'mild solvent only: no water on this layer',
  water: 'water cleaner',
};

/** The verb with its figure, largest on the card. */
export function stepTitle({ kind, grit, stage, key }: PrepStep): string {
  if (grit) return `Sand ${grit[0]} to ${grit[1]}`;
  const isBetween = key.split('.').length > 2 && (kind === 'look' || kind === 'tack');
  if (kind === 'look') return `Look before the ${stage}`;
  return isBetween ? `Tack before the ${stage}` : WORDS[kind].title;
}

/** How it is done, line by line. */
export function stepHow({ kind, tool, wet, reach, around, waitFor, wipe }: PrepStep): string[] {
  if (kind !== 'sand')
    return [...(wipe && kind !== 'wash' ? [`With ${WIPED[wipe]}.`] : []), ...WORDS[kind].how];
  return [
    ...(tool && wet && reach ? [`With a ${TOOL[tool]}, ${WET[wet]}, ${REACH[reach]}.`] : []),
    ...(around ? [`Around it, past where the coat fades: ${around}.`] : []),
    ...(waitFor ? ['Not before the primer may be sanded dry: the flash card says when.'] : []),
    'Turn at each grit, wipe between. Old paint may hold lead or chromate: extraction at the tool.',
  ];
}

export const STATE_WORD: Record<PrepStep['state'], string> = {
  open: 'to do',
  done: 'done',
  skipped: 'left out',
  held: 'does not pass',
  later: 'later',
};
