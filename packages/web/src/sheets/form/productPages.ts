/** What a product is, what it lies on, and how it is sold. */
import { HISTORIES } from '@orthochrom/core/layers/foundLayer.ts';
import { MATERIAL_CLASSES } from '@orthochrom/core/trade/materialClasses.ts';
import {
  CARRIERS,
  CHEMISTRIES,
  FINISHES,
  SPEEDS,
  STAGES,
} from '@orthochrom/core/trade/vocabulary.ts';
import { MATERIAL_NAME } from '@orthochrom/contract/words/tradeWords.ts';
import { HISTORY_NAME } from '../../ticket/found/foundWords.ts';
import { CHEMISTRY_NAME, STAGE_NAME } from '../../words/tradeNames.ts';
import { KIND_NAME, SOURCE_NAME } from '../sheetWords.ts';
import { celsius, same, type Option, type SheetPage } from './sheetFields.ts';

export const WHAT_IT_IS: SheetPage = {
  title: 'What it is',
  fields: [
    { path: 'name', label: 'Name', kind: 'text' },
    { path: 'line', label: 'Line of products', kind: 'text' },
    {
      path: 'kind',
      label: 'Kind',
      kind: 'choice',
      options: Object.entries(KIND_NAME).map(([kind, word]): Option => [kind, word]),
    },
    { path: 'carrier', label: 'Carried by', kind: 'choice', options: same(CARRIERS) },
    {
      path: 'source',
      label: 'Whose word',
      kind: 'choice',
      options: Object.entries(SOURCE_NAME).map(([source, word]): Option => [source, word]),
    },
    { path: 'issuedOn', label: 'Printed on', kind: 'date' },
    {
      path: 'stages',
      label: 'Sprayed as',
      kind: 'many',
      options: STAGES.map((stage): Option => [stage, STAGE_NAME[stage]]),
    },
    {
      path: 'materialClass',
      label: 'Behaves like',
      kind: 'choice',
      options: MATERIAL_CLASSES.map((one): Option => [one, MATERIAL_NAME[one]]),
    },
    { path: 'finishes', label: 'Finishes', kind: 'many', options: same(FINISHES) },
  ],
};

export const OVER_WHAT: SheetPage = {
  title: 'Over what',
  paintOnly: true,
  fields: [
    {
      path: 'overWhat',
      label: 'Layers it names, with the grit',
      kind: 'rows',
      blank: { layer: '', grit: '' },
      of: [
        { path: 'layer', label: 'Layer', kind: 'text' },
        { path: 'grit', label: 'Grit, as P400-P500', kind: 'text' },
        {
          path: 'history',
          label: 'Which is',
          kind: 'choice',
          options: [
            ...HISTORIES.map((one): Option => [one, HISTORY_NAME[one]]),
            ['cutThrough', 'a cut-through'],
          ],
        },
      ],
    },
    { path: 'wipe', label: 'Wiped with', kind: 'choice', options: same(['solvent', 'water']) },
  ],
};

export const DENSITY_SOLIDS_SOLVENT: SheetPage = {
  title: 'Density, solids, solvent',
  fields: [
    { path: 'densityGPerMl', label: 'Density as supplied', kind: 'number', suffix: 'g/ml' },
    { path: 'volumeSolidsPercent', label: 'Solids as supplied', kind: 'number', suffix: '%' },
    { path: 'vocGPerL', label: 'Solvent as supplied', kind: 'number', suffix: 'g/L' },
    {
      path: 'vocLessWaterGPerL',
      label: 'Solvent as supplied, less water',
      kind: 'number',
      suffix: 'g/L',
    },
  ],
};

export const HARDENER_GRADE: SheetPage = {
  title: 'Hardener, grade',
  fields: [
    {
      path: 'hardenerChemistry',
      label: 'Hardener of the mix',
      kind: 'choice',
      options: CHEMISTRIES.map((one): Option => [one, CHEMISTRY_NAME[one]]),
    },
    { path: 'grade.name', label: 'Grade: its short name', kind: 'text' },
    celsius('grade.minC', 'Grade from', 'minC'),
    celsius('grade.maxC', 'Grade to', 'maxC'),
    { path: 'grade.speed', label: 'Grade: speed', kind: 'choice', options: same(SPEEDS) },
    {
      path: 'grade.carrier',
      label: 'Grade: for paint by',
      kind: 'choice',
      options: same(CARRIERS),
    },
  ],
};

export const PACKS_SHADES_NOTES: SheetPage = {
  title: 'Packs, shades, notes',
  fields: [
    { path: 'packSizesMl', label: 'Tins it is sold in', kind: 'numbers', suffix: 'ml' },
    {
      path: 'shades',
      label: 'Shades',
      kind: 'rows',
      blank: { name: '', colour: '#8d8f8e' },
      of: [
        { path: 'name', label: 'Shade', kind: 'text' },
        { path: 'colour', label: 'Looks like, as #8d8f8e', kind: 'text' },
      ],
    },
    {
      path: 'hidingUm',
      label: 'Hides a card at',
      kind: 'figure',
      unit: 'film',
      field: 'hidingUm',
    },
    { path: 'strainerUm', label: 'Strained through', kind: 'number', suffix: 'µm' },
    { path: 'notes', label: 'Notes, a line each', kind: 'lines' },
  ],
};
