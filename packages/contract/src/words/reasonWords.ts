/** Why a figure is what it is: the words of every reason. */
import type { Params } from '@orthochrom/core/outcome/verdicts.ts';
import type { ReasonCode } from '@orthochrom/core/outcome/reasonCodes.ts';
import { paramsInWords } from './termWords.ts';
import { say, type FigureWriter } from './say.ts';

export const REASONS: Record<ReasonCode, string> = {
  'hiding-by-bands':
    'Kubelka and Munk in the three bands of a display: how much light comes back through a film of so much, over this ground.',
  'hiding-guessed':
    'Nobody measured how much of this colour hides: {hidingUm} is usual for its kind. Spray a card, note the film where the halves vanish.',
  'hiding-measured': 'A card hid at {hidingUm}: that is your word, and it beats every table.',
  'flake-takes-ground': 'Flake never hides: it takes the colour of its ground.',
  'candy-never-there': 'Over this ground the colour is never reached, however many coats.',
  'candy-by-absorption':
    'It darkens with every coat and comes nearest at {filmUm}. Stop at the coat that matches; the same count on every part.',
  'leans-darker': 'After the coats planned it is off by {deltaE}, {by} darker.',
  'leans-lighter': 'After the coats planned it is off by {deltaE}, {by} lighter.',
  'ground-darker': 'Darker than the colour: it hides at {filmUm}.',
  'ground-lighter': 'Lighter than the colour: it hides at {filmUm}.',
  'first-lighter-over-old':
    'Old or mixed layers below: the first coat lies light, so that it does not soften them.',
  'last-lighter-from-further':
    'The last coat lies lighter and from further back: it evens the flake and hides nothing.',
  'soonest-first':
    'What may begin first begins first; of two, the one wanted sooner. One car to a room, one coat to a gun, two hands to a painter.',
  'air-first':
    'The air moves along the car: what lies upstream goes first, so that nothing is fogged while it is wet.',
  'shortest-wet-edge':
    'The air rules no order here: the oldest wet edge is kept as young as it can be.',
  'no-order-better':
    'No order keeps the oldest edge under {lowSeconds}; this one may be {leastSeconds}.',
  'best-found':
    'The best of those tried: {leastSeconds}. Nothing under {lowSeconds} is possible; between them it is not proved.',
  'rims-first': 'Solvent: each rim first, then its face over it.',
  'rims-last': 'Waterborne: faces first; the rims last, round the car, dusted.',
  'sections-for-the-gun':
    'This gun and place manage {mostM2} at a time: section by section, each broken at a shut line.',
  'coats-from-sheet': 'As many coats as the sheet has.',
  'coats-as-usual': 'As many coats as are usual for this stage.',
  'heat-by-panel':
    'The clock runs from the panel, not from the air: each is warmed as heavy as it is.',
  'cure-by-dose':
    'Minutes as the sheet has them at {atC}; cold makes them longer, warmth never shorter.',
  'heat-counts': 'The heat of {toC} counts for {doseMinutes} of them.',
  'need-by-volume':
    'Area, share, film and what lands make the amount; edges, waste, cup and line are added.',
  'hand-learned': 'Your hand, of {n} jobs: what was used against what was planned.',
  'hand-unknown':
    'Nothing is known of this hand yet: from 15 % less to 20 % more is usual. Say what was left in the cup, and the band narrows.',
  'prep-by-session':
    'Every panel of a run of coats is made ready before its first coat: a clear-only panel is keyed and wiped before the colour, not beside wet base.',
  'layers-by-link':
    'Solvent attacks paint that is not cross-linked; only the layer on top and what was sanded open is touched, and a shut layer between softens it.',
  'layers-by-sheet':
    'What the sheet names as allowed below it, and its grit, come before the rule.',
  'layers-by-tests': 'Your tape, rub and patch outrank what the paint is said to be.',
  'clear-not-reduced':
    'Clear is not reduced unless its sheet lists a reducer. To get it flatter: warmer material, finer break-up, a slower hand.',
  'grade-for-temperature':
    '{grade} dries as this job wants at {effectiveC}, the temperature the film works at (panel more than air).',
  'grade-nearest':
    '{grade} is the nearest there is at {effectiveC}, drying at {indexFactor} of what this job wants (1 is right, more is too fast).',
  'large-job-slower': 'A large job wants the edge open longer, so slower than a single panel.',
  'spot-quicker': 'A spot is small and soon done: a little quicker is right.',
  'effect-never-fast':
    'A {finish} colour never gets a fast grade: the flake would freeze in clouds.',
  'preference-gloss': 'Set to flow out for gloss: a little slower than the temperature alone asks.',
  'preference-speed': 'Set for pace: a little quicker than the temperature alone asks.',
  'damp-air-slower': '{rhPercent} humidity: a quick grade may turn milky, so slower.',
  'hardener-for-temperature': '{hardener} is the hardener whose range holds {effectiveC}.',
  'street-does-not-decide':
    '{outdoorC} outside is told and not used: the booth and the panel decide.',
  'adjuster-from-grid': "{percent} of the paint by the sheet's grid at {airC} and {rhPercent}.",
  'waterborne-moving-air':
    'Waterborne dries by moving air more than by heat; here {speedMPerS} over the panel.',
  'ratio-from-sheet': "The ratio is the product sheet's own.",
  'ratio-as-given': 'The ratio is as it was given here; no sheet was held against it.',
  'pot-life-by-temperature':
    '{sheetMinutes} at {atC} by the sheet; halved for about every 9 °C more, counted from mixing, here at {temperatureC}.',
  'pot-life-by-hardener':
    'The hardener you took cures {quickerFactor} times as quickly as the one for this temperature: so much less.',
  'hardener-over': '{name} {errorPercent} over: brittle, may crack, yellow or lose gloss.',
  'hardener-under': '{name} {errorPercent} under: stays soft, marks, will not polish.',
  'reducer-over': '{name} {errorPercent} over: thinner film, more runs, stripes in metallic.',
  'reducer-under': '{name} {errorPercent} under: thicker, coarser break-up, more peel.',
  'inlet-from-sheet':
    'The sheet gives {lowKPa} to {highKPa} for this kind of gun, at the gun with the trigger pulled.',
  'inlet-from-leaflet':
    "The gun's leaflet gives {lowKPa} to {highKPa}; practice for this coat begins within it.",
  'inlet-from-practice': 'The usual band for this kind of gun and coat is {lowKPa} to {highKPa}.',
  'more-air-to-break-up':
    'High in its band: this gun or this tip wants more air to break the paint up.',
  'less-air-for-fog': 'Low in its band, to keep the fog down.',
  'cap-bounds-inlet': 'Held so that the cap stays at or under {capKPa}.',
  'base-never-above-clear':
    'Never more air for base than for clear on the same gun: clear runs at {clearKPa}.',
  'nozzle-nearest-own': 'The nearest nozzle this gun has to {lowMm} to {highMm}.',
  'needle-open': 'Your way: needle fully open, dosed by trigger and hand.',
  'needle-metered': 'Needle metered from closed, so that it can be found again.',
  'learner-less-paint': 'A quarter less paint while the hand is still learning.',
  'hand-from-sheet': "Overlap and distance are the sheet's.",
  'hand-from-practice': 'Overlap and distance as able painters use them for this coat.',
  'sheet-before-way':
    'You usually lap {overlapPercent}; this sheet says otherwise and goes first. Override it if you must.',
  'small-work-all-down':
    'For {part}: less paint, a smaller fan and nearer, all together. Set them back after.',
  'sheet-minutes': 'The sheet says {sheetMinutes}.',
  'usual-minutes': 'No sheet: {sheetMinutes} is usual.',
  'class-from-sheet': 'The sheet says what it is: {materialName}.',
  'class-by-stage': 'Taken as what this stage usually is: {materialName}.',
  'class-stands-in':
    'No figures of its own are known for such a paint: {materialName} stands in for it. Keep close to the sheet.',
  'film-from-sheet': 'The sheet aims at {wetUm} wet.',
  'film-from-practice': 'Practice aims at {wetUm} wet.',
  'nozzle-from-sheet': 'The sheet wants a tip of {lowMm} to {highMm}.',
  'nozzle-from-practice': 'A tip of {lowMm} to {highMm} is usual for this coat.',
  'window-from-sheet':
    'The sheet keeps the window open for {sheetMinutes}; here that is {latestMinutes}.',
  'cap-as-meant':
    'Begun where such a gun has {capKPa} at the cap, as it is meant to; no limit of this place asks for less.',
  'never-under-sheet':
    'Curing is never taken as quicker than the sheet, however warm it is; cold makes it longer.',
  'mist-coat-at-floor': "A mist coat may follow at the sheet's least, {floorMinutes}.",
  'moved-by-climate': '{way}, times {factor}: {airC} and {rhPercent} at the panel.',
  'moved-by-air': '{way}, times {factor}: the air moving over the panel.',
  'moved-by-film':
    '{way}, times {factor}: the film is {wetUm} wet where the minutes stand for {sheetUm}.',
  'moved-by-grade':
    '{way}, times {factor}: this grade is {side} than the one for this temperature.',
  'inlet-from-sheet-cap':
    'The sheet gives {capLowKPa} to {capHighKPa} at the cap; on this gun that is {lowKPa} to {highKPa} at the inlet.',
  'cap-at-inlet': 'That makes about {capKPa} at the cap, with the fan as set.',
  'cap-under-limit':
    'That makes about {capKPa} at the cap, where {capLimitKPa} is the limit; up to {mostKPa} at the gun would keep it, with the fan as set.',
  'needle-for-hand':
    'The needle was moved so that the film asks for {gunSpeedMPerS}, which an arm can hold.',
  'drops-right': 'Drops of about {dropletUm}, within the {lowUm} to {highUm} that suit this paint.',
  'drops-coarse':
    'Drops of about {dropletUm}, coarser than the {lowUm} to {highUm} that suit this paint: expect texture. Less paint, or more air where it is allowed.',
  'drops-fine':
    'Drops of about {dropletUm}, finer than the {lowUm} to {highUm} that suit this paint: fog and dry edges. Less air.',
  'hand-too-quick':
    'The film asks for a hand of {gunSpeedMPerS}: quicker than an arm holds steady. Less paint, or more overlap.',
  'hand-too-slow':
    'The film asks for a hand of {gunSpeedMPerS}: slower than an arm holds steady. Two lighter passes, or a larger nozzle.',
  'flow-from-catch':
    "The paint's flow is this gun's own: {flowFactor} of what its size would give, by its catch test.",
  'flow-from-class':
    "The paint's flow is what a tip of this size gives; tips differ. A catch test makes it this gun's own.",
  'fan-from-test': 'The fan is as measured on paper: {fanWidthMm} then.',
  'cap-from-test': 'The cap is as measured: {capKPa} at {inletKPa}.',
  'mist-wide-and-little': 'A mist coat: fan wide, little paint, further away. Set them back after.',
  'line-from-physics':
    'Worked out from hose, couplers and the {airFlowLPerMin} the gun draws: {lossPercent} is lost on the way. A reading with two gauges makes it your own.',
  'line-from-measurement':
    'By your own measured loss of {measuredLossPercent}; here, at {airFlowLPerMin}, that is {lossPercent}. Divided, not added: a share of what the wall shows.',
  'reading-worth-nothing': 'It says nothing about the pressure while spraying and is not used.',
  'line-not-known':
    'The way from wall to gun is not described: the pressure at the gun cannot be told. Describe the hose, or read at the gun.',
  'read-at-the-gun': 'Read where it counts: at the gun, trigger pulled.',
  'cap-by-rating': "About, by this gun's own rating: the maker's table goes first.",
  'cap-by-class':
    "About, as usual for this kind of gun: the maker's table goes first, a cap gauge before both.",
  'wall-by-line':
    'About, from the wall to the gun by hose, couplers and the air this gun draws: a second gauge goes first.',
  'wall-by-measured-loss':
    'From the wall to the gun by your own measured loss of {measuredLossPercent}.',
  'drop-healthy': 'A drop of {dropKPa} when the trigger is pulled is healthy.',
  'drop-as-it-should':
    'It falls {dropKPa} when the trigger is pulled; this line should show {predictedKPa}.',
  'drop-too-much':
    'It falls {dropKPa} when the trigger is pulled, and this line should only show {predictedKPa}: a choked filter, a tired regulator or a compressor that falls behind.',
  'pattern-even': 'An even oval: leave it as it is and count the turns.',
  'one-change': 'One change, then paper or test panel again; two at once tell nothing.',
  'solved-on-gun':
    'Sizes are worked out for this gun with the step in mm kept, within a fifth of the air, outside its band to the band at once, and three quarters of a turn; the paper decides.',
  'valley-is-flat':
    'There are {count} good ways to set this gun; the best lies in a flat valley, so a little either way does no harm.',
  'waits-by-the-minute':
    "Each minute of a wait counts by the air of that minute; never under the sheet's least.",
  'waits-each-panel': 'Every panel waits from its own end, in the same order of panels each coat.',
  'air-by-forecast':
    'The air of each coat is the forecast’s, in straight lines between its points.',
  'bake-from-panel': "The bake is counted from when the panel itself has the sheet's temperature.",
  'film-by-levers':
    '{wetUm} wet from {fluidMlPerMin} of paint, of which {landsPercent} lands, on a step of {stepMm} at {gunSpeedMPerS}.',
  'pop-driven-by': 'Popping is driven most by {what}.',
  'gun-untested-film':
    'No comb or catch test of this nozzle set near these settings: by the gun alone the film is known to about a third.',
  'eye-holds-film':
    'The eye on the wet film holds it to about {percent} either way, whatever is unknown about the gun.',
  'runs-from': 'Here it runs from about {runsFromUm} a coat.',
  'coarse-tail':
    '{percent} of the paint lands in drops too big to flow out: more air, or less paint.',
  'open-against-lap':
    'The film takes overspray in for about {openSeconds}; the gun is back beside it after {lapSeconds}.',
  'heat-waits-for-last-panel':
    'Heat takes all panels at once: its wait counts from the end of the last one.',
  'sanding-waits':
    'Preparation over {stage} waits until it can be sanded: {minutes} after its last coat.',
  'kept-as-mixed': 'What is mixed is near enough: it stays.',
  'film-narrowed':
    'Your own tests of this nozzle set narrow the film to about {percent} either way.',
  'product-narrowed':
    'Your own times and runs with this product ({count}) move its drying and narrow it.',
  'hand-from-lines': 'How steady the hand is comes from your own drawn lines.',
  'class-is-guess': 'What this kind of gun does is a guess until your own tests replace it.',
  'air-as-sheets':
    'Air movement was not told: taken as the gentle downdraft that sheets are written for.',
  'settings-defaulted': 'Not told and taken as usual for this gun and coat: {settings}.',
  'answer-points-to':
    '“{question}” {answer}: {timesFactor} times as likely with {fault} as with what else it could be.',
  'reading-points-to': '{reading}. That points to: {cause}.',
  'reading-speaks-against': '{reading}. That speaks against: {cause}.',
  'numbers-are-estimates':
    'Likelihoods are a trainer’s estimates (version {version}), not counted on jobs; a sheet, and your own eyes, come first.',
  'at-sheet-floor': "The sheet's least, {floorMinutes}, holds however quickly it dries.",
};

/** A stored answer may hold an old code: one that has no words is a fault of ours. */
export function reasonText(code: string, params: Params = {}, figure?: FigureWriter): string {
  const words = (REASONS as Record<string, string>)[code];
  if (words === undefined) throw new Error(`reason ${code} has no words`);
  return say(words, paramsInWords(params, figure), figure);
}
