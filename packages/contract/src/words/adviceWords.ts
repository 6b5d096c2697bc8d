/** Things to do, things to ask, and tests to make: their words. */
import type { Params } from '@orthochrom/core/outcome/verdicts.ts';
import type { AdviceCode, AskCode, DoubtCode } from '@orthochrom/core/outcome/askCodes.ts';
import { paramsInWords } from './termWords.ts';
import { say, type FigureWriter } from './say.ts';

export const ADVICE: Record<AdviceCode, string> = {
  'stir-paint-first': 'Turn the tin and stir from the bottom before pouring.',
  'turn-tin-lift-flat':
    'Turn the tin over before you open it, lift the flake from the bottom with a flat stick, and mix it before anything goes in.',
  'never-shake-clear':
    'Never shake clear: fine bubbles stay in it. A bottle with an agitator is shaken.',
  'away-from-the-scale': 'Pour away from scale and label; cover the mixed cup against dust.',
  'try-the-lid': 'Try lid and collar of the gun’s cup before you tip it.',
  'hardener-before-reducer': 'Hardener next, reducer last, each to its own level.',
  'stir-and-rest':
    'Stir slowly for two minutes, let it stand one. The pot life runs from the hardener.',
  'cups-together':
    'More than one cup: pour all cups together before the first coat, so that the colour is one.',
  'strain-into-cup': 'Strain into the cup of the gun.',
  'hire-a-booth': 'Hire a booth by the hour.',
  'have-a-shop-spray-it': 'Have a licensed shop spray it.',
  'product-without-isocyanate':
    'Use a system without isocyanate for this part, if its sheet suits the job.',
  'vapour-cartridge':
    'A half or full mask with cartridges for organic vapour and particles, fit tested, changed in time.',
  'move-the-source':
    'Put out, switch off at the main and carry away what could spark, and look again.',
  'ask-the-authority':
    'Ask the local authority whether two-pack may be sprayed here, and note the answer.',
  'test-touch':
    'Back of a gloved finger on the masking beside the panel, then on an edge: nothing may mark, string or feel tacky.',
  'test-thumb-twist':
    'Press a thumb on a masked edge and twist: no print and no movement. Matt is not dry.',
  'test-tape':
    'Press tape on a hidden edge, rub, and pull it back on itself: nothing may come away or mark.',
  'test-nail': 'Press a nail into a hidden thick place: it may not leave a dent.',
};

/** Asked where a figure is possible but unlike the kind of gun. */
export const DOUBTS: Record<DoubtCode, string> = {
  'rated-inlet-high':
    '{ratedInletKPa} is far over what such a gun is rated at ({usualInletKPa}). Is that the wall’s pressure, a pressure at rest, or another kind of gun?',
  'rated-inlet-like-cap':
    '{ratedInletKPa} at the inlet is little: such a gun has about {usualInletKPa} there and {usualCapKPa} at the cap. Was the cap’s pressure typed?',
  'rated-cap-high':
    '{capKPaAtRated} at the cap is much: such a gun has about {usualCapKPa} there. Was the inlet’s pressure typed?',
  'rated-air-unlike':
    '{ratedAirFlowLPerMin} is unlike such a gun, which draws about {usualAirFlowLPerMin}. Is the unit right?',
  'nozzle-unlike': 'A {nozzleMm} nozzle is unlike this kind of gun. Is the kind right?',
};

export const QUESTIONS: Record<AskCode, string> = {
  'what-lies-under': 'What stands on this panel, lowest first? Nobody knows is an answer.',
  'pull-a-tape': 'Pull a tape at an X cut to the metal: does anything come?',
  'rub-it': 'Rub it ten times with the strongest reducer of the plan: what does the paint do?',
  'rub-and-tape':
    'Rub it with the strongest reducer of the plan and pull a tape, on a hidden place. Gloves, extraction, no flame. What happened?',
  'turns-counted-from': 'Counted from shut or from open? Shut the knob gently and count out.',
  'is-it-the-cap':
    'That is low for the inlet and usual for the cap. Read at the cap with a test cap, or at the gun?',
  'is-it-the-wall': 'That is high for the gun. Read at the wall, or with the trigger shut?',
  'which-hardener': 'Is there isocyanate in the hardener? The tin and the safety sheet say.',
  'which-hvlp-kind':
    'Which kind of HVLP is it? The leaflet says: about 1.4 bar (20 psi) at the inlet, or about 2 bar (29 psi), both for 10 psi at the cap.',
  'ask-protection.breathing': 'What do you breathe through?',
  'ask-protection.skin': 'Is all skin covered: gloves, suit, hood?',
  'ask-protection.eyes': 'Are the eyes covered: full face or goggles?',
  'ask-extraction': 'Is the extraction running?',
  'ask-ignition':
    'What could spark or burn here: heater, pilot light, switch, charger? None found is an answer.',
  'ask-bystanders': 'Is anybody without protection in or by the room?',
  'ask-regionRules.twoPackAtHome':
    'Is two-pack allowed in a place like this where you are? Ask the authority; this tool does not know.',
  'ask-minutesSinceSpray': 'How long ago was the last coat sprayed?',
  'ask-vapourCleared': 'Are fog and smell out of the room, with the extraction running?',
};

const wordsFrom =
  <Code extends string>(catalogue: Record<Code, string>) =>
  (code: Code, params: Params = {}, figure?: FigureWriter): string =>
    say(catalogue[code], paramsInWords(params, figure), figure);

export const adviceText = wordsFrom(ADVICE);
export const doubtText = wordsFrom(DOUBTS);
export const questionText = wordsFrom(QUESTIONS);
