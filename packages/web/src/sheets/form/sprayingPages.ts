/** How a mix is sprayed, waited for and heated. */
import { GUN_CLASSES } from '@orthochrom/core/trade/gunClasses.ts';
import { GUN_NAME } from '@orthochrom/contract/words/tradeWords.ts';
import { celsius, minutes, type Field, type SheetPage } from './sheetFields.ts';

const gunFields = GUN_CLASSES.flatMap((gunClass): Field[] => [
  {
    path: `gunSheet.${gunClass}.inletKPa`,
    label: `${GUN_NAME[gunClass]}, at the inlet`,
    kind: 'band',
    unit: 'pressure',
    field: 'inletKPa',
  },
  {
    path: `gunSheet.${gunClass}.capKPa`,
    label: `${GUN_NAME[gunClass]}, at the cap`,
    kind: 'band',
    unit: 'pressure',
    field: 'capKPa',
  },
  {
    path: `gunSheet.${gunClass}.nozzleMm`,
    label: `${GUN_NAME[gunClass]}, nozzle`,
    kind: 'numberBand',
    suffix: 'mm',
  },
  {
    path: `gunSheet.${gunClass}.distanceMm`,
    label: `${GUN_NAME[gunClass]}, distance`,
    kind: 'figure',
    unit: 'length',
    field: 'distanceMm',
  },
  {
    path: `gunSheet.${gunClass}.overlapPercent`,
    label: `${GUN_NAME[gunClass]}, overlap`,
    kind: 'number',
    suffix: '%',
  },
]);

export const GUN: SheetPage = {
  title: 'Gun',
  paintOnly: true,
  fields: [
    { path: 'recipes.$.nozzleMm', label: 'Nozzle', kind: 'numberBand', suffix: 'mm' },
    ...gunFields,
  ],
};

export const COATS_AND_FILM: SheetPage = {
  title: 'Coats and film',
  paintOnly: true,
  fields: [
    { path: 'recipes.$.coats', label: 'Coats', kind: 'numberBand', suffix: '' },
    {
      path: 'recipes.$.wetFilmUm',
      label: 'Wet film a coat',
      kind: 'band',
      unit: 'film',
      field: 'wetFilmUm',
    },
    {
      path: 'recipes.$.dryFilmUm',
      label: 'Dry film a coat',
      kind: 'band',
      unit: 'film',
      field: 'dryFilmUm',
    },
    { path: 'recipes.$.coatRule.oneAndHalf', label: 'One coat and a half', kind: 'yesNo' },
    {
      path: 'recipes.$.coatRule.halfAfterMinutes',
      label: 'The half after',
      kind: 'numberBand',
      suffix: 'min',
    },
    {
      path: 'recipes.$.coatRule.lastCoat.kind',
      label: 'Its last coat of flake',
      kind: 'choice',
      options: [
        ['drop', 'a drop coat, drier'],
        ['mist', 'a mist'],
      ],
    },
    {
      path: 'recipes.$.coatRule.lastCoat.filmFactor',
      label: 'It lies, of a full coat',
      help: '0.5 for half',
      kind: 'number',
      suffix: '',
    },
    {
      path: 'recipes.$.coatRule.lastCoat.distanceDeltaMm',
      label: 'From further back by',
      kind: 'number',
      suffix: 'mm',
    },
    { path: 'recipes.$.coatRule.lastCoat.onMatt', label: 'Only on a matt film', kind: 'yesNo' },
    {
      path: 'recipes.$.coatRule.blend.bed.recipe',
      label: 'Wet bed under a blend',
      kind: 'text',
    },
    {
      path: 'recipes.$.coatRule.blend.last.recipe',
      label: 'Thinned last coat of a blend',
      kind: 'text',
    },
    {
      path: 'recipes.$.coatRule.extraToCut',
      label: 'More coats where it is cut flat',
      kind: 'number',
      suffix: '',
    },
  ],
};

export const WAITS: SheetPage = {
  title: 'Waits',
  paintOnly: true,
  fields: [
    celsius('recipes.$.times.atC', 'All of it at', 'atC'),
    {
      path: 'recipes.$.times.atHumidityPercent',
      label: 'At a humidity of',
      kind: 'number',
      suffix: '%',
    },
    {
      path: 'recipes.$.times.wetFilmUm',
      label: 'At a wet film of',
      kind: 'figure',
      unit: 'film',
      field: 'wetFilmUm',
    },
    minutes('minFlashMinutes', 'Flash, at least'),
    minutes('flashMinutes', 'Flash between coats'),
    minutes('toNextMinutes', 'Before the next product'),
    minutes('maxRecoatMinutes', 'Unsanded no longer than'),
    minutes('tapeMinutes', 'Before tape'),
    minutes('sandMinutes', 'Before dry sanding'),
    minutes('shrinkMinutes', 'Done shrinking after'),
    minutes('wetSandMinutes', 'Before wet sanding'),
    minutes('wipeMinutes', 'Before wiping'),
  ],
};

export const HEAT: SheetPage = {
  title: 'Heat',
  paintOnly: true,
  fields: [
    minutes('beforeBakeMinutes', 'Before heat'),
    celsius('recipes.$.times.bakeC', 'Panel at', 'bakeC'),
    minutes('bakeMinutes', 'For'),
    celsius('maxBakeC', 'Never over', 'maxBakeC'),
    minutes('polishMinutes', 'Before polishing'),
    minutes('cureMinutes', 'Cured after'),
  ],
};

export const AIR_AND_PANEL: SheetPage = {
  title: 'Air and panel',
  fields: [
    celsius('limits.minPanelC', 'Panel from', 'minPanelC'),
    celsius('limits.maxPanelC', 'Panel to', 'maxPanelC'),
    celsius('limits.minMaterialC', 'Paint from', 'minMaterialC'),
    celsius('limits.maxAirC', 'Air to', 'maxAirC'),
    { path: 'limits.maxHumidityPercent', label: 'Humidity to', kind: 'number', suffix: '%' },
    {
      path: 'limits.minMarginC',
      label: 'Panel over the dew point by',
      kind: 'number',
      suffix: '°C',
    },
    { path: 'blowerOk', label: 'A blower may dry it', kind: 'yesNo' },
  ],
};
