/** Words of what a verdict or a reason speaks of; a new term does not compile without. */
import { mappedName } from './panelWords.ts';
import type { TermCode } from '@orthochrom/core/outcome/terms.ts';
import type { Params, Term, TimeRange } from '@orthochrom/core/outcome/verdicts.ts';
import type { MaterialClass } from '@orthochrom/core/trade/materialClasses.ts';
import { say, type FigureWriter, type PlainParams } from './say.ts';
import { MATERIAL_NAME } from './tradeWords.ts';

export const TERMS: Record<TermCode, string> = {
  factoryPaint: 'factory paint',
  knownTwoPack: 'two-pack that is known',
  freshTwoPack: 'fresh two-pack',
  singlePack: 'aerosol or single-pack paint',
  thermoplasticLacquer: 'thermoplastic lacquer',
  unknownPaint: 'paint that nobody knows',
  dyedPaint: 'old red or dyed paint',
  fillerLayer: 'filler',
  bareMetalLayer: 'bare metal',
  barePlasticLayer: 'bare plastic',
  stillGlossy: 'is still glossy',
  scratchShows: 'has scratches the next coat does not hide',
  tooFine: 'is too fine to hold',
  peelTexture: 'Peel',
  runsTexture: 'Runs',
  wash: 'wash',
  degrease: 'degrease',
  inspect: 'look along it with the torch',
  tapePull: 'tape pull',
  solventRub: 'solvent rub',
  decide: 'the customer’s word',
  testPatch: 'test patch',
  card: 'spray-out card',
  guideCoat: 'guide coat',
  sand: 'sand',
  edges: 'edges',
  throughs: 'cut-throughs',
  dustOff: 'blow the dust off',
  degreaseAfter: 'degrease after sanding',
  mask: 'mask',
  backMask: 'back-mask',
  silicone: 'silicone in the room',
  airSupply: 'breathing line',
  wetFloor: 'wet the floor',
  fansOn: 'fans on',
  suit: 'suit and gloves',
  wipe: 'last wipe',
  blow: 'blow off',
  tack: 'tack',
  promoter: 'adhesion promoter',
  look: 'look between',
  waste: 'waste',
  adhesionTest: 'tape when dry',
  lateDent: 'a dent',
  lateScratch: 'a scratch',
  latePinhole: 'a pinhole',
  lateThrough: 'a cut through',
  lateSilicone: 'silicone',
  underSix: 'less than six',
  thisColour: 'This colour',
  displayColours: 'what a display can show',
  flakesShowThrough: 'flakes show through, peaks thin, valleys deep: patchy and dirty',
  candyOnlyDarkens:
    'candy only darkens, and this is not at least 15 lighter than the colour wanted',
  glowsOverWhite: 'it glows over white only',
  bleachesToGround: 'in the sun the colour bleaches and the ground shows: it wants the same hue',
  needleShut: 'A needle shut or air too weak to draw paint',
  paintFlowing: 'paint flowing',
  dropSize: 'Drop size at this viscosity',
  dropSizeHolds: '{leastMPaS} to {mostMPaS} mPa s at the tip',
  airSpeedInHose: 'The speed of the air in this hose',
  underSound: 'up to 0.7 of the speed of sound',
  cutOutPressure: 'This cut-out pressure',
  pistonPumps: 'piston pumps up to {pistonKPa}',
  longRun: 'So long a run',
  oneDay: 'one day; the tank has settled long before',
  timeInCups: 'The time in {cups}',
  couplerAtWall: 'coupler at the wall',
  hose: 'hose',
  couplerAtGun: 'coupler at the gun',
  lineAsMeasured: 'line as measured',
  nextCoat: 'the next coat',
  nextClear: 'clear',
  taping: 'taping',
  sanding: 'sanding',
  wetSanding: 'wet sanding',
  wiping: 'wiping',
  heat: 'heat',
  polishing: 'polishing',
  thisGrade: 'This grade',
  theFace: 'the face',
  theEdges: 'the edges',
  maskingBeside: 'masking beside the panel',
  panelEdges: 'panel edges',
  thickestPlace: 'the thickest place',
  hiddenEdge: 'a hidden edge',
  longer: 'Longer',
  shorter: 'Shorter',
  largePanel: 'a large panel',
  smallPart: 'a small part',
  jamb: 'a jamb',
  spot: 'a spot',
  mistCoat: 'a mist coat',
  air: 'Air',
  panel: 'Panel',
  fasterOne: 'a faster one',
  slowerOne: 'a slower one',
  nothingElse: 'nothing else',
  theAdjuster: 'the adjuster',
  airFed: 'Air-fed breathing',
  cartridge: 'A cartridge mask',
  dust: 'A dust mask',
  none: 'No protection',
  notAllowedHere: 'it is not allowed here',
  closedRoomHoldsMist: 'a closed room without booth extraction holds the mist',
  breathing: 'breathing',
  skinCover: 'skin cover',
  eyeCover: 'eye cover',
  extraction: 'extraction',
  bystanders: 'bystanders',
  ignitionSources: 'ignition sources',
  ruleOnTwoPack: 'the local rule on two-pack',
  minutesSinceSpraying: 'minutes since spraying',
  vapourOut: 'whether the vapour is out',
};

/** A name or a figure as it stands; nothing for what is told by a code. */
export function plainText(params: Params | undefined, key: string): string {
  const value = params?.[key];
  return typeof value === 'string' || typeof value === 'number' ? String(value) : '';
}

type Value = Params[string];
const isTerm = (value: Value): value is Term => typeof value === 'object' && 'term' in value;

const isRanges = (value: Value): value is TimeRange[] =>
  Array.isArray(value) && value.length > 0 && 'of' in value[0]!;
const rangeText = ({ of, fromSeconds, toSeconds }: TimeRange): string =>
  `${of} ${fromSeconds} to ${toSeconds} s`;

/** The same params with every term in its words: what goes over the wire and into a sentence. */
/** Where a panel is named: by its key on the map, or as the painter called it. */
const PANEL_KEYS: ReadonlySet<string> = new Set(['panel', 'a', 'b']);

export function paramsInWords(params: Params, figure?: FigureWriter): PlainParams {
  const plain = Object.fromEntries(
    Object.entries(params).filter(
      (entry): entry is [string, string | number] => typeof entry[1] !== 'object',
    ),
  );
  const words = (code: TermCode) => say(TERMS[code], plain, figure);
  const inWords = (key: string, value: Value): string | number => {
    if (key === 'materialName') return MATERIAL_NAME[value as MaterialClass] ?? value;
    if (PANEL_KEYS.has(key) && typeof value === 'string') return mappedName(value);
    if (typeof value !== 'object') return value;
    if (isRanges(value)) return value.map(rangeText).join('; ');
    if (Array.isArray(value)) return value.map(({ term }) => words(term)).join(', ');
    return isTerm(value) ? words(value.term) : `${value.minutes} min`;
  };
  return Object.fromEntries(
    Object.entries(params).map(([key, value]) => [key, inWords(key, value)]),
  );
}
