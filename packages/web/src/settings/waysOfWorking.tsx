/** Ways of working, as pictures. */
import type { Painter } from '@orthochrom/contract/shop/setup.ts';
import {
  ZapIcon,
  DropletIcon,
  DropletOffIcon,
  EarIcon,
  GraduationCapIcon,
  SparklesIcon,
  SprayCanIcon,
  LayersIcon,
  Layers2Icon,
  StarIcon,
  ThermometerIcon,
  BrickWallIcon,
} from 'lucide-react';
import {
  FanPicture,
  GaugePicture,
  KnobPicture,
  StandOffPicture,
} from '../ticket/gun/Instruments.tsx';
import type { Pictured } from './PictureChoice.tsx';

const ICON = { size: 60, strokeWidth: 1.3, 'aria-hidden': true } as const;
const dial = (units: Painter['units']) => (
  <GaugePicture inletKPa={138} bandKPa={[124, 152]} units={units} />
);

export const SKILLS: readonly Pictured<Painter['skill']>[] = [
  { value: 'learner', word: 'learning', picture: <GraduationCapIcon {...ICON} /> },
  { value: 'able', word: 'able', picture: <SprayCanIcon {...ICON} /> },
  { value: 'expert', word: 'expert', picture: <StarIcon {...ICON} /> },
];

type Way = Painter['way'];
type Choices = {
  [
    K in 'needle' | 'gauge' | 'fan' | 'distance' | 'baseCover' | 'clearReduction' | 'grade'
  ]: readonly Pictured<NonNullable<Way[K]>>[];
};

/** What each habit may be; the gauge is drawn in the painter's own unit. */
export const waysOf = (units: Painter['units']): Choices => ({
  needle: [
    {
      value: 'metered',
      word: 'metered, turns from closed',
      picture: <KnobPicture turnsOut={2.75} fullTurns={4} />,
    },
    {
      value: 'open',
      word: 'wide open, dosed by trigger and hand',
      picture: <KnobPicture turnsOut={4} fullTurns={4} />,
    },
  ],
  gauge: [
    { value: 'atGun', word: 'at the gun', picture: dial(units) },
    { value: 'atWall', word: 'at the wall', picture: <BrickWallIcon {...ICON} /> },
    { value: 'byEar', word: 'by ear', picture: <EarIcon {...ICON} /> },
  ],
  fan: [
    { value: 'backedOff', word: 'backed off from open', picture: <FanPicture share={0.55} /> },
    { value: 'open', word: 'fully open', picture: <FanPicture share={1} /> },
  ],
  distance: [
    { value: 'near', word: 'near, quick hand', picture: <StandOffPicture share={0.45} /> },
    { value: 'middle', word: 'middle', picture: <StandOffPicture share={0.7} /> },
    { value: 'far', word: 'far', picture: <StandOffPicture share={1} /> },
  ],
  baseCover: [
    { value: 'coats', word: 'in coats, each with its flash', picture: <LayersIcon {...ICON} /> },
    {
      value: 'oneAndHalf',
      word: 'one and a half, where its sheet has it',
      picture: <Layers2Icon {...ICON} />,
    },
  ],
  clearReduction: [
    { value: 'never', word: 'never', picture: <DropletOffIcon {...ICON} /> },
    { value: 'sheet', word: 'up to the sheet’s maximum', picture: <DropletIcon {...ICON} /> },
  ],
  grade: [
    {
      value: 'temperature',
      word: 'for the temperature',
      picture: <ThermometerIcon {...ICON} />,
    },
    { value: 'gloss', word: 'slower, for gloss', picture: <SparklesIcon {...ICON} /> },
    { value: 'speed', word: 'quicker, for pace', picture: <ZapIcon {...ICON} /> },
  ],
});

export const WAY_LABEL = {
  needle: 'Needle',
  gauge: 'Pressure is read',
  fan: 'Fan',
  distance: 'Distance',
  baseCover: 'Base covers',
  clearReduction: 'Reducer in clear',
  grade: 'Grade of reducer',
} as const satisfies Record<keyof Choices, string>;
