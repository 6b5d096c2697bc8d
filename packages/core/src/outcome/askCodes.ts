/** Codes of what is to be done, asked back, or doubted: their words are in contract/words. */

/** Things to do, and tests to make. */
export const ADVICE_CODES = [
  'stir-paint-first',
  'turn-tin-lift-flat',
  'never-shake-clear',
  'away-from-the-scale',
  'try-the-lid',
  'hardener-before-reducer',
  'stir-and-rest',
  'cups-together',
  'strain-into-cup',
  'hire-a-booth',
  'have-a-shop-spray-it',
  'product-without-isocyanate',
  'vapour-cartridge',
  'move-the-source',
  'ask-the-authority',
  'test-touch',
  'test-thumb-twist',
  'test-tape',
  'test-nail',
] as const;
export type AdviceCode = (typeof ADVICE_CODES)[number];

/** What is asked back where something is missing. */
export const ASK_CODES = [
  'what-lies-under',
  'rub-and-tape',
  'pull-a-tape',
  'rub-it',
  'turns-counted-from',
  'is-it-the-cap',
  'is-it-the-wall',
  'which-hardener',
  'which-hvlp-kind',
  'ask-protection.breathing',
  'ask-protection.skin',
  'ask-protection.eyes',
  'ask-extraction',
  'ask-ignition',
  'ask-bystanders',
  'ask-regionRules.twoPackAtHome',
  'ask-minutesSinceSpray',
  'ask-vapourCleared',
] as const;
export type AskCode = (typeof ASK_CODES)[number];

/** Figures of a gun that are possible but unlike its kind. */
export const DOUBT_CODES = [
  'rated-inlet-high',
  'rated-inlet-like-cap',
  'rated-cap-high',
  'rated-air-unlike',
  'nozzle-unlike',
] as const;
export type DoubtCode = (typeof DOUBT_CODES)[number];
