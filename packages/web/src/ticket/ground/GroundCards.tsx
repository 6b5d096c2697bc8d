/**
 * Which shade under this colour: each as a spray-out card drawn from the computed colour, with the
 * coats that hide it and the paint that takes; the best first, touched to choose it.
 */
import { needOf } from '@orthochrom/contract/plan/amounts.ts';
import {
  coatsOver,
  groundChoice,
  shadowsAt,
  type Over,
} from '@orthochrom/contract/plan/groundFor.ts';
import { tintedParts } from '@orthochrom/contract/plan/tint.ts';
import { readyPricePerL } from '@orthochrom/contract/plan/kitFor.ts';
import { recipeOf } from '@orthochrom/contract/plan/planContext.ts';
import { ask } from '@orthochrom/contract/calculations/ask.ts';
import { quantityCalculation } from '@orthochrom/contract/calculations/quantity.ts';
import { reasonText } from '@orthochrom/contract/words/reasonWords.ts';
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import type { ShopSetup, StoredGun } from '@orthochrom/contract/shop/setup.ts';
import type { Panel, SheetVersion, StagePlan } from '@orthochrom/contract/shop/ticket.ts';
import { formatFor, moneyText, turnsText } from '@orthochrom/contract/words/format.ts';
import type { JobSize } from '@orthochrom/core/trade/vocabulary.ts';
import { Button } from '@mantine/core';
import { useMemo } from 'react';
import { usePainter } from '../../frame/painter.ts';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import { Card } from './Card.tsx';
import styles from './GroundCards.module.css';

type GroundCardsProps = {
  stage: StagePlan;
  sheet: Sheet;
  over: Over;
  gun: StoredGun | undefined;
  job: { panels: Panel[]; jobSize: JobSize };
  strongSun: boolean;
  shop: { sheets: readonly SheetVersion[]; setup: ShopSetup };
  onPick: (shade: { name: string; colour: string; tint?: StagePlan['tint'] }) => void;
};

export function GroundCards({
  stage,
  sheet,
  over,
  gun,
  job,
  strongSun,
  shop,
  onPick,
}: GroundCardsProps) {
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const choice = useMemo(
    () => groundChoice({ stage, sheet }, over, { strongSun }),
    [stage, sheet, over, strongSun],
  );
  const shadows = useMemo(
    () => shadowsAt({ stage, sheet }, over, job.panels),
    [stage, sheet, over, job.panels],
  );
  const perCoatMl = useMemo(() => coatMl(over, gun, job), [over, gun, job]);
  const perMl = useMemo(() => pricePerMl(over, shop), [over, shop]);
  if (!choice) return null;
  const { answer, cards, input } = choice;
  const { tintedGround, advised } = answer;
  const least = recipeOf(over).coats[0];
  const isCandy = input.topcoat.effect === 'candy';
  const said = (coats: number): string =>
    perCoatMl > 0
      ? `, ${format.joined(format.volume(coats * perCoatMl))} of colour${perMl === undefined ? '' : `, ${moneyText(coats * perCoatMl * perMl, shop.setup.shop.currency)}`}`
      : '';
  return (
    <section className={styles['ground']} aria-label="Which shade under the colour">
      <h3>
        Which shade under {over.stage.colourName || 'the colour'}, {stage.coats}{' '}
        {stage.coats === 1 ? 'coat' : 'coats'} of ground
      </h3>
      <div className={styles['cards']}>
        {answer.ranked.map(({ name, coatsToHide, suited, noteReason }) => {
          const card = (
            <>
              <Card
                colours={cards.get(name) ?? []}
                {...(isCandy && coatsToHide ? { framed: Math.round(coatsToHide.value) } : {})}
              />
              <span className={`figure ${styles['coats']}`}>
                {coatsToHide ? turnsText(coatsToHide.value) : '–'} <small>coats</small>
              </span>
              <span>
                <strong>{name}</strong>
                {coatsToHide ? said(coatsToHide.value) : ''}
              </span>
              <span className="quiet">
                {coatsToHide
                  ? `${turnsText(coatsToHide.low)} to ${turnsText(coatsToHide.high)}: plan ${isCandy ? Math.round(coatsToHide.value) : coatsOver(coatsToHide.value, least)}. `
                  : ''}
                {reasonText(noteReason.code, noteReason.params, format.inWords)}
              </span>
              {name === advised && !isCandy && answer.ranked.length > 1 && (
                <span className={styles['tag']}>as light as the colour</span>
              )}
              {!suited && <span className={styles['tag']}>not for this colour</span>}
            </>
          );
          const shade = sheet.shades?.find((one) => one.name === name);
          // One colour of its own is nothing to pick from.
          return shade ? (
            <button
              key={name}
              type="button"
              className={styles['shade']}
              aria-pressed={stage.colourName === name}
              onClick={() => onPick({ ...shade, tint: undefined })}
            >
              {card}
            </button>
          ) : (
            <div key={name} className={styles['shade']}>
              {card}
            </div>
          );
        })}
      </div>
      {tintedGround && (
        <p>
          <Card colours={[tintedGround.colour]} isSmall /> Mixed{' '}
          {tintedGround.parts.map(({ parts, name }) => `${parts} ${name}`).join(' to ')} it hides in{' '}
          {turnsText(tintedGround.coatsToHide)} coats{said(tintedGround.coatsToHide)}
          {`: in its recipe ${nested(sheet, stage.recipeName, tintOf(tintedGround.parts, sheet, over))}.`}{' '}
          <Button
            variant={stage.tint ? 'filled' : 'default'}
            aria-pressed={stage.tint !== undefined}
            onClick={() =>
              onPick({
                name: tintedGround.parts.map(({ parts, name }) => `${parts} ${name}`).join(' : '),
                colour: tintedGround.colour,
                tint: tintOf(tintedGround.parts, sheet, over),
              })
            }
          >
            {stage.tint ? 'This shade is mixed' : 'Mix this shade'}
          </Button>
        </p>
      )}
      {answer.candy?.map(({ name, oneCoatMore, perTenPercentFilm }) => (
        <p key={name}>
          Over {name}: one coat more shifts it by {oneCoatMore.toFixed(1)}, a tenth more film by{' '}
          {perTenPercentFilm.toFixed(1)}; 1 is just seen. Stop at the coat that matches, the same
          count on every part.
        </p>
      ))}
      <VerdictList verdicts={[...answer.verdicts, ...shadows]} hideGo />
      <p className="quiet">
        A screen’s colour, not a card’s:{' '}
        {answer.reasons
          .slice(1, 2)
          .map(({ code, params }) => reasonText(code, params, format.inWords))}{' '}
        Film {format.joined(format.film(input.dryUmPerCoat))} dry a coat.
      </p>
    </section>
  );
}

/** What one coat of the colour takes on this job, ml. */
function coatMl({ stage, sheet }: Over, gun: StoredGun | undefined, job: GroundCardsProps['job']) {
  if (!gun || !job.panels.some(({ id }) => stage.panelIds.includes(id))) return 0;
  const { byPanel } = ask(quantityCalculation, needOf({ ticket: job, stage, sheet, gun }, 1));
  return byPanel.reduce((sum, { ml }) => sum + ml, 0);
}

/** What a millilitre of the ready colour costs, where its tins have prices. */
function pricePerMl(
  { stage, sheet }: Over,
  { sheets, setup }: GroundCardsProps['shop'],
): number | undefined {
  const perL = readyPricePerL(sheet, recipeOf({ sheet, stage }), {
    products: new Map(sheets.map((one) => [one.sheet.id, one.sheet])),
    prices: new Map(setup.prices.map(({ productId, prices }) => [productId, prices])),
  });
  return perL === undefined ? undefined : perL / ML_PER_L;
}
const ML_PER_L = 1000;

type Tint = NonNullable<StagePlan['tint']>;
/** Shades are the ground's own product; the colour is that of the stage over it. */
const tintOf = (
  parts: readonly { name: string; parts: number }[],
  sheet: Sheet,
  over: Over,
): Tint =>
  parts.map(({ name, parts: share }) => ({
    name,
    parts: share,
    product: sheet.shades?.some((shade) => shade.name === name) ? sheet.id : over.sheet.id,
  }));

/** The shade in its recipe, as it is poured: hardener and reducer stay as printed. */
const nested = (sheet: Sheet, recipeName: string, tint: Tint): string =>
  tintedParts(recipeOf({ sheet, stage: { recipeName } }).parts, { tint })
    .map(({ parts }) => String(Number(parts.toFixed(2))))
    .join(' : ');
