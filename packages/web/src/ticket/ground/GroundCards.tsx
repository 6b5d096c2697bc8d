/**
 * Which shade under this colour: each as a spray-out card drawn from the computed colour, with the
 * coats that hide it and the paint that takes; the best first, touched to choose it.
 */
import { needOf } from '@orthochrom/contract/plan/amounts.ts';
import { coatsOver, groundChoice, type Over } from '@orthochrom/contract/plan/groundFor.ts';
import { recipeOf } from '@orthochrom/contract/plan/planContext.ts';
import { ask } from '@orthochrom/contract/registry.ts';
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import type { StoredGun } from '@orthochrom/contract/shop/setup.ts';
import type { Panel, StagePlan } from '@orthochrom/contract/shop/ticket.ts';
import { formatFor, turnsText } from '@orthochrom/contract/words/format.ts';
import type { JobSize } from '@orthochrom/core/trade/vocabulary.ts';
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
  onPick: (shade: { name: string; colour: string }) => void;
};

export function GroundCards({ stage, sheet, over, gun, job, onPick }: GroundCardsProps) {
  const { painter } = usePainter();
  const format = formatFor(painter.units);
  const choice = useMemo(() => groundChoice({ stage, sheet }, over), [stage, sheet, over]);
  const perCoatMl = useMemo(() => coatMl(over, gun, job), [over, gun, job]);
  if (!choice) return null;
  const { answer, cards, input } = choice;
  const { tintedGround, advised } = answer;
  const least = recipeOf(over).coats[0];
  const isCandy = input.topcoat.effect === 'candy';
  const said = (coats: number): string =>
    perCoatMl > 0 ? `, ${format.joined(format.volume(coats * perCoatMl))} of colour` : '';
  return (
    <section className={styles['ground']} aria-label="Which shade under the colour">
      <h3>
        Which shade under {over.stage.colourName || 'the colour'}, {stage.coats}{' '}
        {stage.coats === 1 ? 'coat' : 'coats'} of ground
      </h3>
      <div className={styles['cards']}>
        {answer.ranked.map(({ name, coatsToHide, suited, note }) => {
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
                {note}
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
              onClick={() => onPick(shade)}
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
          {`: in its recipe ${nested(sheet, stage.recipeName, tintedGround.parts)}.`}
        </p>
      )}
      {answer.candy?.map(({ name, oneCoatMore, perTenPercentFilm }) => (
        <p key={name}>
          Over {name}: one coat more shifts it by {oneCoatMore.toFixed(1)}, a tenth more film by{' '}
          {perTenPercentFilm.toFixed(1)}; 1 is just seen. Stop at the coat that matches, the same
          count on every part.
        </p>
      ))}
      <VerdictList verdicts={answer.verdicts} hideGo />
      <p className="quiet">
        A screen’s colour, not a card’s: {answer.reasons[1]?.text} Film{' '}
        {input.dryUmPerCoat.toFixed(1)} µm dry a coat.
      </p>
    </section>
  );
}

/** What one coat of the colour takes on this job, ml. */
function coatMl({ stage, sheet }: Over, gun: StoredGun | undefined, job: GroundCardsProps['job']) {
  if (!gun || !job.panels.some(({ id }) => stage.panelIds.includes(id))) return 0;
  const { byPanel } = ask('quantity', needOf({ ticket: job, stage, sheet, gun }, 1));
  return byPanel.reduce((sum, { ml }) => sum + ml, 0);
}

/** The tint stands in the paint's part; hardener and reducer stay as printed. */
function nested(
  sheet: Sheet,
  recipeName: string,
  tint: readonly { name: string; parts: number }[],
): string {
  const recipe = sheet.recipes?.find(({ name }) => name === recipeName) ?? sheet.recipes?.[0];
  const whole = tint.reduce((sum, { parts }) => sum + parts, 0);
  const plain = (parts: number): string => String(Number(parts.toFixed(2)));
  return (recipe?.parts ?? [])
    .flatMap(({ role, parts }) =>
      role === 'paint' ? tint.map((own) => plain((parts * own.parts) / whole)) : [plain(parts)],
    )
    .join(' : ');
}
