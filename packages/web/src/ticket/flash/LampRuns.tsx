/** Heat by a lamp: how far it belongs from the panel, by what was read on it; never left alone. */
import { lampOn, type PanelRead } from '@orthochrom/contract/plan/heatOn.ts';
import type { LayerWork } from '@orthochrom/contract/shop/layerWork.ts';
import { formatFor, minutesText } from '@orthochrom/contract/words/format.ts';
import { useState } from 'react';
import { FigureInput } from '../../units/FigureInput.tsx';
import { VerdictList } from '../../verdict/Verdicts.tsx';
import type { CardProps } from '../cardProps.ts';
import { FigureTile, FigureTiles } from '../step/FigureTile.tsx';

type LampRunsProps = Pick<CardProps, 'context' | 'painter'> & {
  reads: readonly PanelRead[];
  heated: LayerWork;
};

/** Where it begins, read before it is moved. */
const START_MM = 800;

export function LampRuns({ context, painter, reads, heated }: LampRunsProps) {
  const [distanceMm, setDistance] = useState(START_MM);
  const { length, temperature, joined } = formatFor(painter.units);
  const { lampMm, toC, holdMinutes, verdicts } = lampOn(context, distanceMm, reads, heated);
  return (
    <>
      <FigureTiles label="Lamp">
        <FigureTile
          name="lamp"
          isLead
          label="Lamp from the panel"
          figure={lampMm === undefined ? { text: '–', unit: '' } : length(lampMm)}
          note={
            reads.length > 0
              ? 'by what was read on the panel'
              : 'to begin with, at half power for five minutes: then read the panel, not the lamp'
          }
        />
        <FigureTile
          name="lampTo"
          label="On the panel"
          figure={toC === undefined ? { text: '–', unit: '' } : temperature(toC)}
          note={
            holdMinutes === undefined ? '' : `held ${minutesText(holdMinutes)} once it has that`
          }
        />
      </FigureTiles>
      <FigureInput
        label="It stands now at"
        description={`from the panel; ${joined(length(START_MM))} to begin with`}
        kind="length"
        field="distanceMm"
        value={distanceMm}
        onChange={(entered) => entered && setDistance(entered.canonical)}
      />
      <VerdictList verdicts={verdicts.filter(({ code }) => code !== 'panel-not-measured')} hideGo />
      <p>
        <strong>Never left alone.</strong> No film, paper or foam in its beam; solvent vapour out
        first, glass and plastics shaded.
      </p>
    </>
  );
}
