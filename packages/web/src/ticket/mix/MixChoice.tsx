/**
 * What goes into the cup, large: the painter's pick with ours beside it, and the recipe's ratio.
 */
import { blendText } from '@orthochrom/contract/plan/planDifferences.ts';
import { minutesText } from '@orthochrom/contract/words/format.ts';
import styles from './MixChoice.module.css';
import { Blend } from './Blend.tsx';
import type { CardProps } from '../cardProps.ts';
import { BASIS_NAME, capital } from '../../words/tradeNames.ts';

export function MixChoice({ plan, context }: Pick<CardProps, 'plan' | 'context'>) {
  const { choice, wanted } = plan.reducer;
  const { parts, hardener, openTimeMinutes } = plan.inUse!;
  const ours = plan.reducer.openTimeMinutes;
  const isOwn = wanted !== undefined && parts !== choice!.parts;
  const life = plan.mix?.potLifeMinutes;
  const ratio =
    plan.mix?.components && plan.inputs.mix && 'parts' in plan.inputs.mix.recipe
      ? plan.inputs.mix.recipe.parts
      : [];
  const additions = plan.parts?.recipe.additions ?? [];
  /** Dosed by hand, under whatever name it is poured. */
  const isDosed = (name: string): boolean =>
    additions.some(
      (one) =>
        one.name === name &&
        context.doses?.some(
          ({ product }) =>
            product === one.role ||
            plan.parts!.products[name]?.some((member) => member.product === product),
        ),
    );
  return (
    <div className={styles['choice']}>
      {parts.length > 0 && (
        <div className="card">
          <div className="label">{isOwn ? 'Reducer, your pick' : 'Reducer for now'}</div>
          <div
            className={parts.length > 1 ? 'figure mid' : 'figure'}
            style={{ whiteSpace: 'normal' }}
          >
            <Blend text={blendText(parts)} />
          </div>
          {openTimeMinutes && (
            <div className="quiet" data-open-time>
              edge open {openTimeMinutes.low.toFixed(1)} to {openTimeMinutes.high.toFixed(1)} min
            </div>
          )}
          {isOwn && ours && (
            <div className="quiet" data-ours>
              ours: {blendText(choice!.parts)}, {ours.low.toFixed(1)} to {ours.high.toFixed(1)} min
            </div>
          )}
        </div>
      )}
      {parts.length === 0 && context.sheet.carrier === 'solvent' && (
        <div className="card">
          <div className="label">Reducer</div>
          <div className="figure">none</div>
          <div className="quiet">this recipe has none</div>
        </div>
      )}
      {additions.map(({ name, percent, of, role }) => (
        <div key={name} className="card">
          <div className="label">
            {capital(role)}, of {BASIS_NAME[of]}
          </div>
          <div className="figure">
            {Number(percent.toFixed(1))} <small>% {name}</small>
          </div>
          {isDosed(name) ? (
            <div className="quiet">your own dose</div>
          ) : (
            role === 'adjuster' && (
              <div className="quiet">
                {choice!.adjuster ? 'by the sheet’s grid' : 'as the recipe says'}; never a solvent
                reducer
              </div>
            )
          )}
        </div>
      ))}
      {hardener && (
        <div className="card">
          <div className="label">
            {hardener === choice!.hardener ? 'Hardener' : 'Hardener, your pick'}
          </div>
          <div className="figure">{hardener}</div>
          {life && (
            <div className="quiet">
              pot life {minutesText(life.low)} to {minutesText(life.high)}
            </div>
          )}
          {hardener !== choice!.hardener && <div className="quiet">ours: {choice!.hardener}</div>}
        </div>
      )}
      <div className="card">
        <div className="label">Ratio by volume</div>
        <div className="figure">
          {ratio.map(({ parts }) => (parts === 0.5 ? '½' : parts)).join(' : ')}
        </div>
        <div className="quiet">{ratio.map(({ role }) => role).join(' : ')}</div>
      </div>
    </div>
  );
}
