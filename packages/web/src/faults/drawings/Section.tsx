/**
 * A film seen from the side, cut through: clear over colour over primer, and what is wrong in it.
 */
import type { ReactNode } from 'react';
import { HEIGHT, WIDTH, wavePath } from './scatter.ts';

const TOP = 36;
const COLOUR = 60;
const PRIMER = 74;
const METAL = 88;

const FLAT = `M0 ${TOP}H${WIDTH}`;

type SectionProps = { top?: string; colourTop?: string; primerTop?: string; children?: ReactNode };

function Section({
  top = FLAT,
  colourTop = `M0 ${COLOUR}H${WIDTH}`,
  primerTop = `M0 ${PRIMER}H${WIDTH}`,
  children,
}: SectionProps) {
  const closed = (path: string) => `${path}V${HEIGHT}H0Z`;
  return (
    <>
      <rect width={WIDTH} height={HEIGHT} fill="#f3efe4" />
      <path
        d={closed(top)}
        fill="#cfdde4"
        stroke="#2c3940"
        strokeWidth="2.2"
        strokeLinejoin="round"
      />
      <path d={closed(colourTop)} fill="#a8472f" />
      <path d={closed(primerTop)} fill="#a39d8f" />
      <rect y={METAL} width={WIDTH} height={HEIGHT - METAL} fill="#55595c" />
      {children}
    </>
  );
}

const bubble = (x: number, y: number, r: number) => (
  <circle key={`${x} ${y}`} cx={x} cy={y} r={r} fill="#f3efe4" stroke="#2c3940" strokeWidth="1.8" />
);
const DENT = `M0 ${TOP}H56Q62 ${TOP - 8} 66 ${TOP - 2}L72 56H86L91 ${TOP - 3}Q97 ${TOP - 8} 102 ${TOP}H${WIDTH}`;

export const SECTIONS: Record<string, ReactNode> = {
  pit: (
    <Section top={DENT}>
      {bubble(32, 50, 6)}
      {bubble(122, 48, 7)}
      {bubble(138, 54, 3.5)}
    </Section>
  ),
  narrowHole: <Section top={`M0 ${TOP}H76L77 ${COLOUR + 7}H83L84 ${TOP}H${WIDTH}`} />,
  saucer: (
    <Section
      top={`M0 ${TOP}H26C34 ${TOP} 38 27 48 27S60 ${COLOUR} 80 ${COLOUR}S102 27 112 27S126 ${TOP} 134 ${TOP}H${WIDTH}`}
    />
  ),
  bubbles: (
    <Section top={`M0 ${TOP}H28Q36 29 44 ${TOP}H88Q96 29 104 ${TOP}H${WIDTH}`}>
      {bubble(36, 44, 6)}
      {bubble(64, 50, 4)}
      {bubble(96, 44, 6)}
      {bubble(124, 52, 5)}
    </Section>
  ),
  grain: (
    <Section top={`M0 ${TOP}H52Q66 ${TOP} 72 24Q80 14 88 24Q94 ${TOP} 108 ${TOP}H${WIDTH}`}>
      <path d="M71 40l5-13 11-1 4 12-8 9z" fill="#2a2622" />
    </Section>
  ),
  flat: <Section />,
  standsUp: <Section top={`M0 ${TOP}H46C58 ${TOP} 60 16 80 16S102 ${TOP} 114 ${TOP}H${WIDTH}`} />,
  dipsIn: <Section top={`M0 ${TOP}H50C60 ${TOP} 66 56 80 56S100 ${TOP} 110 ${TOP}H${WIDTH}`} />,
  upAndDown: (
    <Section
      top={`M0 ${TOP}H30C42 ${TOP} 44 18 56 18S72 54 86 54S100 20 110 20S124 ${TOP} 132 ${TOP}H${WIDTH}`}
    />
  ),
  tight: <Section top={wavePath(10, 3, TOP)} />,
  wide: <Section top={wavePath(36, 7, TOP)} />,
  rolling: <Section top={wavePath(90, 7, TOP)} />,
  flatBelow: (
    <Section>
      <path d={`M0 ${TOP}H${WIDTH}`} stroke="#e8890c" strokeWidth="4" />
    </Section>
  ),
  waveBelow: (
    <Section colourTop={wavePath(40, 8, COLOUR)} primerTop={wavePath(40, 6, PRIMER)}>
      <path d={`M0 ${TOP}H${WIDTH}`} stroke="#e8890c" strokeWidth="4" />
    </Section>
  ),
  intoPrimer: <Section top={`M0 ${TOP}H66L72 ${METAL - 2}H92L98 ${TOP}H${WIDTH}`} />,
  moreOpen: (
    <Section
      top={`M0 ${TOP + 8}H20L24 54H34L38 ${TOP + 8}H66L70 56H82L86 ${TOP + 8}H114L118 52H128L132 ${TOP + 8}H${WIDTH}`}
    >
      {bubble(54, 54, 4)}
      {bubble(102, 53, 5)}
    </Section>
  ),
  smaller: (
    <Section
      top={`M0 ${TOP + 10}H44L46 56H52L54 ${TOP + 10}H104L106 56H112L114 ${TOP + 10}H${WIDTH}`}
    />
  ),
  sandedFlat: <Section top={`M0 ${TOP + 10}H${WIDTH}`} />,
};
