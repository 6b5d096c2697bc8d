/** How a product is mixed, and what the mix is like. */
import { CUP_LABEL, CUP_NAMES } from '@orthochrom/core/material/flowCup.ts';
import { ROLES } from '@orthochrom/core/trade/vocabulary.ts';
import {
  anyProduct,
  BASIS_OPTIONS,
  celsius,
  ofKind,
  same,
  type Option,
  type SheetPage,
} from './sheetFields.ts';

export const MIXING: SheetPage = {
  title: 'Mixing',
  paintOnly: true,
  fields: [
    { path: 'recipes.$.name', label: 'Recipe, as printed', kind: 'text' },
    { path: 'recipes.$.use', label: 'For', kind: 'text' },
    {
      path: 'recipes.$.parts',
      label: 'Parts by volume, in pouring order',
      kind: 'rows',
      blank: { role: 'hardener', product: 'hardener', parts: 1 },
      of: [
        { path: 'role', label: 'It is the', kind: 'choice', options: same(ROLES) },
        { path: 'product', label: 'Product', kind: 'choice', options: anyProduct },
        { path: 'parts', label: 'Parts', kind: 'number', suffix: '' },
      ],
    },
    {
      path: 'recipes.$.additions',
      label: 'Then, in per cent',
      kind: 'rows',
      blank: { role: 'reducer', product: 'reducer', percent: 10 },
      of: [
        { path: 'role', label: 'It is the', kind: 'choice', options: same(ROLES) },
        { path: 'product', label: 'Product', kind: 'choice', options: anyProduct },
        { path: 'percent', label: 'Per cent', kind: 'number', suffix: '%' },
        {
          path: 'of',
          label: 'of what',
          kind: 'choice',
          options: BASIS_OPTIONS,
        },
      ],
    },
    {
      path: 'recipes.$.standMinutes',
      label: 'Stirred, it stands for',
      kind: 'number',
      suffix: 'min',
    },
    { path: 'grades', label: 'Reducers it takes', kind: 'many', options: ofKind('reducer') },
    { path: 'hardeners', label: 'Hardeners it takes', kind: 'many', options: ofKind('hardener') },
    { path: 'reduction.sheetPercent', label: 'Reducer beside it', kind: 'number', suffix: '%' },
    { path: 'reduction.maxPercent', label: 'Reducer, at most', kind: 'number', suffix: '%' },
    { path: 'reduction.of', label: 'Reducer, of what', kind: 'choice', options: BASIS_OPTIONS },
    {
      path: 'adjusterGrid',
      label: 'Adjuster by the air',
      kind: 'rows',
      blank: {},
      of: [
        celsius('airTemperatureC', 'Air', 'airTemperatureC'),
        { path: 'relativeHumidityPercent', label: 'Humidity', kind: 'number', suffix: '%' },
        { path: 'percentOfPaint', label: 'Of the paint', kind: 'number', suffix: '%' },
        { path: 'name', label: 'Which', kind: 'choice', options: ofKind('adjuster') },
      ],
    },
    {
      path: 'additives',
      label: 'Additives it takes',
      kind: 'rows',
      blank: { use: '' },
      of: [
        { path: 'id', label: 'Product', kind: 'choice', options: ofKind('additive') },
        { path: 'percent', label: 'Per cent', kind: 'number', suffix: '%' },
        { path: 'of', label: 'of what', kind: 'choice', options: BASIS_OPTIONS },
        { path: 'use', label: 'For', kind: 'text' },
      ],
    },
    { path: 'tint.with', label: 'Tinted with', kind: 'many', options: ofKind('base') },
    {
      path: 'tint.sealerPartsToOne',
      label: 'Tinted, parts of it to one',
      kind: 'numberBand',
      suffix: '',
    },
    {
      path: 'recipes.$.blendOnly',
      label: 'Thinned for melting edges: the blend only',
      kind: 'yesNo',
    },
  ],
};

export const SECONDS_POT_LIFE: SheetPage = {
  title: 'Seconds, pot life',
  paintOnly: true,
  fields: [
    {
      path: 'recipes.$.viscosity.cup',
      label: 'Flow cup',
      kind: 'choice',
      options: CUP_NAMES.map((cup): Option => [cup, CUP_LABEL[cup]]),
    },
    { path: 'recipes.$.viscosity.seconds', label: 'Seconds', kind: 'numberBand', suffix: 's' },
    celsius('recipes.$.viscosity.atC', 'Seconds are at', 'atC'),
    { path: 'recipes.$.potLife.minutes', label: 'Pot life', kind: 'number', suffix: 'min' },
    celsius('recipes.$.potLife.atC', 'Pot life is at', 'atC'),
  ],
};

export const READY_TO_SPRAY: SheetPage = {
  title: 'Ready to spray',
  paintOnly: true,
  fields: [
    { path: 'recipes.$.densityGPerMl', label: 'Density', kind: 'number', suffix: 'g/ml' },
    { path: 'recipes.$.volumeSolidsPercent', label: 'Solids', kind: 'number', suffix: '%' },
    { path: 'recipes.$.vocGPerL', label: 'Solvent', kind: 'number', suffix: 'g/L' },
    {
      path: 'recipes.$.vocLessWaterGPerL',
      label: 'Solvent, less water',
      kind: 'number',
      suffix: 'g/L',
    },
  ],
};
