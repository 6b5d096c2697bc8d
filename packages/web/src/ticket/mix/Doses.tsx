/**
 * Per cents of the painter's own: a figure is read in three ways, and only the one that is touched
 * is poured; what the sheet has stands beside it.
 */
import { Button, TextInput } from '@mantine/core';
import {
  additionsOnOffer,
  type Dose,
  type SheetAddition,
} from '@orthochrom/contract/plan/additions.ts';
import type { Wishes } from '@orthochrom/contract/plan/contextOf.ts';
import type { CoatPlan } from '@orthochrom/contract/plan/planCoat.ts';
import { shortName, type PlanContext } from '@orthochrom/contract/plan/planContext.ts';
import { REDUCER } from '@orthochrom/contract/plan/reduction.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { percentReadings } from '@orthochrom/core/mix/percentReadings.ts';
import { useState } from 'react';
import { readDosed } from '../../units/dosed.ts';
import { BASIS_NAME, capital } from '../../words/tradeNames.ts';
import styles from './Doses.module.css';

type DosesProps = {
  context: PlanContext;
  plan: CoatPlan;
  wishes: Wishes;
  setWishes: (wishes: Wishes) => void;
};

export function Doses({ context, plan, wishes, setWishes }: DosesProps) {
  const { inUse } = plan;
  const offered = inUse ? additionsOnOffer(context, inUse) : [];
  if (offered.length === 0) return null;
  const put = (product: string, dose: Dose | undefined) => {
    const rest = (wishes.doses ?? []).filter((one) => one.product !== product);
    setWishes({ ...wishes, doses: dose ? [...rest, dose] : rest });
  };
  return (
    <section className="card stack" aria-label="By per cent">
      <h3>By per cent</h3>
      {offered.map((ours) => (
        <DoseField
          key={ours.product}
          ours={ours}
          name={dosedName(context, ours)}
          dose={wishes.doses?.find(({ product }) => product === ours.product)}
          context={context}
          plan={plan}
          onDose={(dose) => put(ours.product, dose)}
        />
      ))}
    </section>
  );
}

/** What is dosed, as it is called in the shop. */
export const dosedName = ({ products }: PlanContext, { product, role }: SheetAddition): string => {
  const sheet = product === REDUCER ? undefined : products.get(product);
  return sheet ? shortName(sheet) : role;
};

type DoseFieldProps = {
  ours: SheetAddition;
  name: string;
  dose: Dose | undefined;
  context: PlanContext;
  plan: CoatPlan;
  onDose: (dose: Dose | undefined) => void;
};

function DoseField({ ours, name, dose, context, plan, onDose }: DoseFieldProps) {
  const [text, setText] = useState(dose ? String(dose.percent) : '');
  const { units } = context.painter;
  const format = formatFor(units);
  const typed = readDosed(text);
  const isRead = typed !== undefined && !('message' in typed);
  const readings = isRead && plan.parts ? readingsIn(plan, name, typed) : [];
  return (
    <div className={styles['dose']}>
      <TextInput
        label={capital(name)}
        description={`${saidOf(context, ours)}; empty: as it stands. 10 % or 9:1`}
        value={text}
        inputMode="decimal"
        autoComplete="off"
        {...(typed && 'message' in typed ? { error: typed.message } : {})}
        onChange={(event) => {
          setText(event.currentTarget.value);
          // Another figure has not been given its reading yet.
          onDose(undefined);
        }}
      />
      {readings.length > 0 && (
        <div
          role="group"
          aria-label={`${name}: a per cent of what?`}
          className={styles['readings']}
        >
          {readings.map(({ of, percent, ml }) => (
            <Button
              key={of}
              size="lg"
              variant={dose?.of === of ? 'filled' : 'default'}
              aria-pressed={dose?.of === of}
              onClick={() => onDose({ product: ours.product, percent, of })}
            >
              {`of ${BASIS_NAME[of]}: ${format.joined(format.volume(ml))}`}
            </Button>
          ))}
        </div>
      )}
      {readings.length > 0 && !dose && (
        <p className="quiet">
          Touch what it is a per cent of: until then nothing is poured for it.
        </p>
      )}
      {dose && <p className="quiet">{threeWays(plan, name)}</p>}
    </div>
  );
}

/** What each reading pours into the mix that is planned, without what this adds now. */
function readingsIn(plan: CoatPlan, name: string, typed: Parameters<typeof percentReadings>[1]) {
  const { recipe } = plan.parts!;
  const additions = (recipe.additions ?? []).filter((one) => !isNamed(one, name));
  const inCupMl = (plan.mix?.components ?? [])
    .filter((one) => !isNamed(one, name))
    .reduce((sum, { ml }) => sum + ml, 0);
  return percentReadings({ parts: recipe.parts, additions }, typed, inCupMl);
}
/** A reducer is poured under the name of its grade. */
const isNamed = (part: { name: string; role?: string | undefined }, name: string): boolean =>
  part.name === name || (name === REDUCER && part.role === REDUCER);

/** The same pour, of the paint, of what is in the cup before it, of the finished mix. */
function threeWays({ mix }: CoatPlan, name: string): string {
  const part = mix?.components?.find((one) => isNamed(one, name));
  if (!part) return '';
  const said = (percent: number, of: keyof typeof BASIS_NAME) =>
    `${percent.toFixed(1)} % of ${BASIS_NAME[of]}`;
  return [
    said(part.percentOfPaint, 'paint'),
    ...(part.percentOfSoFar === undefined ? [] : [said(part.percentOfSoFar, 'mixSoFar')]),
    said(part.percentOfMix, 'finalMix'),
  ].join(' = ');
}

/** The sheet's own figure, and how far it lets one go. */
function saidOf({ sheet }: PlanContext, { product, percent, of, role }: SheetAddition): string {
  const printed = sheet.additives?.find(({ id }) => id === product);
  if (product === REDUCER && sheet.reduction)
    return `the sheet: up to ${sheet.reduction.maxPercent} % of ${BASIS_NAME[sheet.reduction.of]}`;
  if (printed)
    return `the sheet: ${printed.percent} % of ${BASIS_NAME[printed.of]}${printed.use ? `, ${printed.use}` : ''}`;
  return `${role === 'adjuster' ? 'now' : 'the recipe'}: ${Number(percent.toFixed(1))} % of ${BASIS_NAME[of]}`;
}
