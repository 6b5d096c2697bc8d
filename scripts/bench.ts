/**
 * npm run bench: the live plan of one coat (reducer, mix, setup, recoat) per second, beside a plain
 * JSON round trip of the same input. The ratio is what is told: it hardly depends on the machine.
 */
import { readFileSync } from 'node:fs';
import { benchFaults } from './benchFaults.ts';
import { benchFilm } from './benchFilm.ts';
import { benchForesight } from './benchForesight.ts';
import { answerOrRefuse } from '@orthochrom/contract/registry.ts';

type Example = { title: string; input: unknown };
const example = (name: string, title: string): unknown => {
  const list = JSON.parse(
    readFileSync(new URL(`../packages/contract/examples/${name}.json`, import.meta.url), 'utf8'),
  ) as Example[];
  return list.find((pair) => pair.title === title)!.input;
};
const PLAN = {
  reducer: {
    ...(example('reducer', 'frost outside, 22 °C in the booth: the booth decides') as object),
    risks: false,
  },
  mix: example('mix', '900 ml of single stage 4:1:1 by weight, two cups'),
  setup: { ...(example('setup', 'clear with the sheet at hand') as object), plans: false },
  recoat: example('recoat', 'second coat of clear at four minutes'),
};

const plan = () => Object.entries(PLAN).map(([name, input]) => answerOrRefuse(name, input));
const roundTrip = () => JSON.parse(JSON.stringify(PLAN)) as unknown;

/** Best of several rounds: the least disturbed one. */
function perSecond(work: () => unknown): number {
  const round = () => {
    const start = performance.now();
    let times = 0;
    while (performance.now() - start < 300) {
      work();
      times += 1;
    }
    return times / ((performance.now() - start) / 1000);
  };
  return Math.max(...Array.from({ length: 7 }, round));
}

if (plan().some((outcome) => 'error' in outcome)) throw new Error('the plan was refused');
const [plans, trips] = [perSecond(plan), perSecond(roundTrip)];
console.log(`live plan of one coat    ${plans.toFixed(0)} per second`);
console.log(`JSON round trip of it    ${trips.toFixed(0)} per second`);
console.log(`ratio                    ${(trips / plans).toFixed(1)} round trips a plan`);
const day = example('schedule', 'a shop that warms: each mix its own grade');
console.log(
  `a day on the clock       ${(plans / perSecond(() => answerOrRefuse('schedule', day))).toFixed(1)} live plans`,
);
for (const [name, title] of [
  ['route', 'a whole saloon, air from front to rear'],
  ['day', 'two jobs in two rooms, one painter: while one flashes the other is sprayed'],
] as const) {
  const input = example(name, title);
  const ratio = plans / perSecond(() => answerOrRefuse(name, input));
  console.log(`${name.padEnd(24)} ${ratio.toFixed(1)} live plans`);
}
benchFilm(example('coat', 'two coats of clear as the trade does them') as Record<string, unknown>, {
  ...(PLAN.setup as object),
  plans: true,
});
benchForesight();
benchFaults();
