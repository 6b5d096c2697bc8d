/**
 * How much ready paint a stage wants, in cups that last, and what it costs.
 *
 *   portion = area · share · edge · wet film ÷ transfer · (1 + waste)
 *   ready = Σ portion · coats · own · (1 + reserve) + line loss · (1 + reserve) + cups · residue
 *                                                                                         [need-2]
 *
 * Source  volume balance; 1 µm on 1 m² is 1 ml. Transfer shares are practice
 */
import { classOf } from '../inForce/classOf.ts';
import { filmOf } from '../inForce/filmOf.ts';
import { batchesOf, batchOf, pourList } from '../mix/cup.ts';
import { hardenerChemistry } from '../mix/mix.ts';
import { potLifeMinutes } from '../mix/potLife.ts';
import { sharesOf, type Share } from '../mix/recipe.ts';
import { meshUm } from '../mix/strainer.ts';
import { mapSpread, type Spread } from '../outcome/spread.ts';
import { because, caution, type Verdict } from '../outcome/verdicts.ts';
import { GUNS } from '../trade/gunClasses.ts';
import { lapsOf, type Lap, type Portion } from './laps.ts';
import { moneyOf } from './money.ts';
import { painterFactorOf, UNKNOWN_HAND, type OddJob } from './painterFactor.ts';
import type { QuantityAnswer, QuantityBatch, QuantityInput } from './quantityInput.ts';
import { edgeFactor, shareOf } from './share.ts';

type Laid = { wetFilmUm: number; transferEfficiencyPercent: number };

/** Film and transfer as given, else of the stage's class and the gun's. */
function laidOf({
  wetFilmUm,
  dryFilmUm,
  volumeSolidsPercent,
  transferEfficiencyPercent,
  stage,
  gun,
}: QuantityInput): Laid {
  const byClass = (): number =>
    filmOf({ class: classOf({ stage: stage!, carrier: 'solvent' }).value }).value.aimUm;
  return {
    wetFilmUm:
      wetFilmUm ?? (dryFilmUm === undefined ? byClass() : dryFilmUm / (volumeSolidsPercent! / 100)),
    transferEfficiencyPercent: transferEfficiencyPercent ?? GUNS[gun!.class].transferFraction * 100,
  };
}

/** Ready mix for a stage as a band, by panel, in cups, with tins and money. [need-2] */
export function quantityOf(input: QuantityInput): QuantityAnswer {
  const { panels, coats, wastePercent = 0, lineAndCupLossMl = 0, reservePercent = 0 } = input;
  const laid = laidOf(input);
  const learned = learnedOf(input);
  const own = learned.factor;
  const reserve = 1 + reservePercent / 100;
  const perM2Ml =
    (laid.wetFilmUm / (laid.transferEfficiencyPercent / 100)) * (1 + wastePercent / 100) * reserve;
  const byPanel = panels.map((panel) => {
    const [share, edge] = [shareOf(panel, input.stage), edgeFactor(panel, input)];
    const coatMl = panel.areaM2 * share * edge * perM2Ml;
    return { name: panel.name, share, edge, coatMl, coats: panel.coats ?? coats };
  });
  const onPanelsMl = byPanel.reduce((sum, one) => sum + one.coatMl * one.coats, 0);
  const lineMl = lineAndCupLossMl * reserve;
  const shares = input.recipe ? sharesOf(input.recipe) : undefined;
  const portions = portionsOf(byPanel, own.value);
  const cups = cupsOf(input, portions, { lineMl, onPanelsMl: onPanelsMl * own.value }, shares);
  const staysMl = lineMl + (cups?.count ?? 0) * (input.cupResidueMl ?? 0);
  const readyMl = mapSpread(own, (factor) => onPanelsMl * factor + staysMl);
  const components = shares && pourList(shares, readyMl.value);
  const money = components ? moneyOf(input, components, readyMl.value) : {};
  return {
    readyMl,
    ...laid,
    byPanel: byPanel.map(({ name, share, edge, coatMl, coats: times }) => ({
      name,
      share,
      edge,
      ml: coatMl * times * own.value,
    })),
    painterFactor: own,
    ...(components ? { components } : {}),
    ...(cups ? { batches: cups.batches } : {}),
    ...money,
    supplies: suppliesOf(input, cups?.count ?? 1),
    verdicts: verdictsOf(input, { odd: learned.odd, cups, shares, short: money.short ?? [] }),
    reasons: [
      because('need-by-volume', 'rule'),
      own.n > 0 ? because('hand-learned', 'record', { n: own.n }) : because('hand-unknown', 'rule'),
    ],
  };
}

function learnedOf({ history = [], painterFactor }: QuantityInput) {
  if (painterFactor) return { factor: { ...painterFactor, n: 0 }, odd: [] };
  return history.length === 0 ? { factor: UNKNOWN_HAND, odd: [] } : painterFactorOf(history);
}

/** In spraying order: coat by coat, panel by panel. */
function portionsOf(
  byPanel: readonly { name: string; coatMl: number; coats: number }[],
  own: number,
): Portion[] {
  const most = Math.max(...byPanel.map(({ coats }) => coats), 0);
  return Array.from({ length: most }, (_, i) => i + 1).flatMap((coat) =>
    byPanel
      .filter(({ coats }) => coat <= coats)
      .map(({ name, coatMl }) => ({ panel: name, coat, ml: coatMl * own })),
  );
}

type Cups = { batches: QuantityBatch[]; count: number; cutPanels: string[]; tooLong: Lap[] };

function cupsOf(
  input: QuantityInput,
  portions: readonly Portion[],
  { lineMl, onPanelsMl }: { lineMl: number; onPanelsMl: number },
  shares: readonly Share[] | undefined,
): Cups | undefined {
  const { cup, cupResidueMl = 0 } = input;
  if (!cup) return undefined;
  if (!input.laps) {
    const usableMl = Math.max(cup.capacityMl - cupResidueMl, cup.capacityMl / 10);
    const count = Math.max(1, Math.ceil((onPanelsMl + lineMl) / usableMl - 1e-9));
    const readyMl = onPanelsMl + lineMl + count * cupResidueMl;
    const batches = shares ? batchesOf(shares, readyMl, readyMl / count, {}, cup) : [];
    return { batches, count, cutPanels: [], tooLong: [] };
  }
  const { laps, cutPanels } = lapsOf(portions, {
    cupMl: cup.capacityMl,
    residueMl: cupResidueMl,
    lineLossMl: lineMl,
    potLifeMinutes: lifeOf(input)?.value,
    fluidMlPerMin: input.fluidMlPerMin,
    flashMinutes: input.flashMinutes,
  });
  const batches = laps.map(({ portions: own, readyMl, minutes }) => ({
    ...(shares ? batchOf(shares, readyMl, {}, cup) : { components: [], readyMl, fillToMl: [] }),
    ...(minutes === undefined ? {} : { minutes }),
    covers: own.map(({ coat, panel }) => ({ coat, panel })),
  }));
  return { batches, count: laps.length, cutPanels, tooLong: laps.filter((lap) => lap.isTooLong) };
}

const lifeOf = ({ potLife, temperatureC }: QuantityInput): Spread | undefined =>
  potLife && temperatureC !== undefined ? potLifeMinutes(potLife, temperatureC) : undefined;

function suppliesOf(input: QuantityInput, cups: number): QuantityAnswer['supplies'] {
  const mesh = meshUm(input);
  return [
    { what: 'cups', count: cups, why: 'batches' },
    ...(mesh === undefined ? [] : [{ what: `strainer${mesh}`, count: cups, why: 'batches' }]),
    { what: 'sticks', count: cups, why: 'batches' },
  ];
}

type Told = {
  odd: OddJob[];
  cups: Cups | undefined;
  shares: readonly Share[] | undefined;
  short: readonly { name: string; ml: number }[];
};
function verdictsOf(input: QuantityInput, { odd, cups, shares, short }: Told): Verdict[] {
  const { wastePercent = 0, lineAndCupLossMl = 0 } = input;
  const chemistry = shares && hardenerChemistry(input.hardener, shares);
  const life = lifeOf(input);
  return [
    ...(wastePercent === 0 && lineAndCupLossMl === 0 ? [caution('nothing-for-waste')] : []),
    ...odd.map(({ at, times }) => caution('usage-out-of-line', { n: at + 1, times })),
    ...(cups?.cutPanels ?? []).map((panel) => caution('runs-out-in-panel', { panel })),
    ...(cups?.tooLong ?? []).map(({ minutes }) =>
      caution('pot-life-short', {
        sprayMinutes: minutes!,
        potLifeMinutes: life!.value,
        temperatureC: input.temperatureC!,
      }),
    ),
    ...short.map(({ name, ml }) => caution('paint-short', { name, shortMl: ml })),
    ...(chemistry === 'isocyanate' || chemistry === 'unknown'
      ? [caution('two-pack-breathing')]
      : []),
  ];
}
