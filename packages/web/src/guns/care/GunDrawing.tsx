/**
 * A gravity gun taken apart along its axis, our own drawing; the parts that are spoken of stand
 * out.
 */
import type { Part } from './careWords.ts';
import styles from './GunDrawing.module.css';

/** Each part's word and where it stands: clear of every line. */
const NAME: Record<Part, [word: string, x: number, y: number]> = {
  cap: ['air cap', 30, 290],
  nozzle: ['nozzle', 142, 268],
  body: ['body', 236, 282],
  packing: ['packing nut', 436, 262],
  needle: ['needle', 556, 252],
  spring: ['spring', 656, 262],
  fluidKnob: ['fluid knob', 722, 268],
  fanKnob: ['fan knob', 490, 156],
  cup: ['cup', 230, 92],
  lid: ['lid with vent', 172, 42],
  inlet: ['air inlet', 440, 386],
};

export function GunDrawing({ lit = [] }: { lit?: readonly Part[] }) {
  const of = (part: Part) => `${styles['part']} ${lit.includes(part) ? styles['lit'] : ''}`;
  return (
    <svg
      viewBox="0 0 810 410"
      className={styles['drawing']}
      role="img"
      aria-label={
        lit.length > 0
          ? `The gun taken apart: ${lit.map((part) => NAME[part][0]).join(', ')}`
          : 'The gun taken apart'
      }
    >
      <line x1="20" x2="800" y1="210" y2="210" className={styles['axis']} />
      <g className={of('lid')}>
        <path d="M286 44h74v-12h-74z" />
        <circle cx="323" cy="28" r="4" className={styles['hole']} />
      </g>
      <g className={of('cup')}>
        <path d="M280 52h86v72l-26 30h-34l-26-30z" />
        <path d="M310 154h26v26h-26z" />
      </g>
      <g className={of('body')}>
        <path d="M232 182h196v56h-40l-12 20h-86l-10-20h-48z" />
        <path d="M352 252l44 0 26 112h-46z" />
        <path d="M318 258c4 40 6 62 24 84" className={styles['trigger']} />
      </g>
      <g className={of('inlet')}>
        <path d="M380 366h40v10h-6v18h-28v-18h-6z" />
      </g>
      <g className={of('cap')}>
        <path d="M44 176h26v68H44z" />
        <path d="M28 176l18-12v22zM28 244l18 12v-22z" />
        <path d="M70 184h18v52H70z" />
      </g>
      <g className={of('nozzle')}>
        <path d="M132 202l30-10h34v36h-34l-30-10z" />
        <path d="M196 188h16v44h-16z" />
      </g>
      <g className={of('packing')}>
        <path d="M452 192h16v36h-16zM468 198h20v24h-20z" />
      </g>
      <g className={of('needle')}>
        <path d="M504 210l16-4h112v8H520z" />
        <path d="M604 200h10v20h-10z" />
      </g>
      <g className={of('spring')}>
        <path d="M654 222l8-24 8 24 8-24 8 24 8-24 8 24" className={styles['wire']} />
      </g>
      <g className={of('fluidKnob')}>
        <path d="M722 198h16v24h-16zM738 188h44v44h-44z" />
        <path d="M748 188v44M758 188v44M768 188v44" className={styles['knurl']} />
      </g>
      <g className={of('fanKnob')}>
        <path d="M428 140h14v20h-14zM442 132h36v36h-36z" />
        <path d="M450 132v36M460 132v36M470 132v36" className={styles['knurl']} />
      </g>
      {(Object.keys(NAME) as Part[]).map((part) => (
        <text
          key={part}
          x={NAME[part][1]}
          y={NAME[part][2]}
          className={lit.includes(part) ? styles['litName'] : styles['name']}
        >
          {NAME[part][0]}
        </text>
      ))}
    </svg>
  );
}
