/**
 * Which of the two kinds of HVLP gun this is: one touch enters the rating that its leaflet prints.
 */
import { Button } from '@mantine/core';
import { questionText } from '@orthochrom/contract/words/adviceWords.ts';
import { formatFor } from '@orthochrom/contract/words/format.ts';
import { HVLP_KIND_ASK, HVLP_KINDS_KPA } from '@orthochrom/core/gun/hvlpKind.ts';
import { usePainter } from '../frame/painter.ts';

export function HvlpKind({ onPick }: { onPick: (ratedInletKPa: number) => void }) {
  const { painter } = usePainter();
  const { joined, pressure } = formatFor(painter.units);
  return (
    <section className="card stack" aria-label="Which kind of HVLP">
      <p>{questionText(HVLP_KIND_ASK.code)}</p>
      <div className="row">
        {HVLP_KINDS_KPA.map((kPa) => (
          <Button key={kPa} variant="default" onClick={() => onPick(kPa)}>
            Rated at about {joined(pressure(kPa))}
          </Button>
        ))}
      </div>
      <p className="quiet">
        Neither on the leaflet? Leave it: a cap gauge on the gun’s tests tells as well.
      </p>
    </section>
  );
}
