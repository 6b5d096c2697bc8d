/**
 * Pouring into a cup: components with their levels, equal batches, and the printed scale's marks.
 */
import type { Role } from '../trade/vocabulary.ts';
import { paintShare, type Share } from './recipe.ts';

export type Cup = {
  capacityMl: number;
  /** Mesh built into it or its liner. */
  strainerUm?: number;
  marksMl?: number[];
  columns?: { component: string; marks: { label: string; atMl: number }[] }[];
};
/**
 * A ratio scale printed on a cup: line k has each part's cumulative level at k × mlPerPart × (parts
 * so far).
 */
export type RatioScale = { ratio: number[]; mlPerPart: number };

export type Component = {
  name: string;
  role?: Role;
  ml: number;
  grams?: number;
  percentOfMix: number;
  percentOfPaint: number;
  /** Of all that is in the cup before it; absent for what goes in first. */
  percentOfSoFar?: number;
  cumulativeMl: number;
  cumulativeGrams?: number;
  mark?: { column: string; label: string };
  leftOverMl?: number;
};
export type Batch = { components: Component[]; readyMl: number; fillToMl: number[] };
export type Densities = Record<string, number>;

/** A printed mark counts as met within this share of the level: less than the line is thick. */
const MARK_TOLERANCE = 0.01;

/**
 * The components of this much ready mix, in pouring order, with the level and the scale's reading
 * after each.
 */
export function pourList(
  shares: readonly Share[],
  readyMl: number,
  densitiesGPerMl: Densities = {},
  cup?: Cup,
): Component[] {
  const paint = paintShare(shares);
  let cumulativeMl = 0;
  let cumulativeGrams: number | undefined = 0;
  return shares.map(({ name, role, share }) => {
    const ml = share * readyMl;
    const beforeMl = cumulativeMl;
    const density = densitiesGPerMl[name];
    const grams = density === undefined ? undefined : ml * density;
    cumulativeMl += ml;
    cumulativeGrams =
      cumulativeGrams === undefined || grams === undefined ? undefined : cumulativeGrams + grams;
    const mark = cup && markAt(cup, name, cumulativeMl);
    return {
      name,
      ...(role ? { role } : {}),
      ml,
      ...(grams === undefined ? {} : { grams }),
      percentOfMix: share * 100,
      percentOfPaint: (share / paint) * 100,
      ...(beforeMl > 0 ? { percentOfSoFar: (ml / beforeMl) * 100 } : {}),
      cumulativeMl,
      ...(cumulativeGrams === undefined ? {} : { cumulativeGrams }),
      ...(mark ? { mark } : {}),
    };
  });
}

function markAt({ columns }: Cup, component: string, levelMl: number): Component['mark'] {
  const column = columns?.find((c) => c.component === component);
  const mark = column?.marks.find(({ atMl }) => Math.abs(atMl - levelMl) <= MARK_TOLERANCE * atMl);
  return column && mark ? { column: column.component, label: mark.label } : undefined;
}

const SAME_RATIO = 1e-6;

/**
 * The printed columns that fit a recipe: same number, next column. Numbers on a cup are levels, not
 * amounts.
 * @returns nothing where the cup has no scale of this ratio
 */
export function scaleColumns(
  scales: readonly RatioScale[],
  parts: readonly { name: string; parts: number }[],
  capacityMl: number,
): Cup['columns'] {
  const scale = scales.find(
    ({ ratio }) =>
      ratio.length === parts.length &&
      ratio.every(
        (part, i) => Math.abs(part / ratio[0]! - parts[i]!.parts / parts[0]!.parts) < SAME_RATIO,
      ),
  );
  if (!scale) return undefined;
  const total = scale.ratio.reduce((sum, part) => sum + part, 0);
  const lines = Math.floor(capacityMl / (total * scale.mlPerPart));
  let soFar = 0;
  return parts.map(({ name }, i) => {
    soFar += scale.ratio[i]!;
    const levelMl = soFar * scale.mlPerPart;
    return {
      component: name,
      marks: Array.from({ length: lines }, (_, k) => ({
        label: String(k + 1),
        atMl: (k + 1) * levelMl,
      })),
    };
  });
}

/** One cup of this much. */
export function batchOf(
  shares: readonly Share[],
  readyMl: number,
  densities?: Densities,
  cup?: Cup,
): Batch {
  const components = pourList(shares, readyMl, densities, cup);
  return { components, readyMl, fillToMl: components.map((one) => one.cumulativeMl) };
}

/** Equal batches, none above the cup's top mark or the wished batch. */
export function batchesOf(
  shares: readonly Share[],
  readyMl: number,
  mostMl: number,
  densities?: Densities,
  cup?: Cup,
): Batch[] {
  const count = Math.max(1, Math.ceil(readyMl / mostMl - 1e-9));
  const batch = batchOf(shares, readyMl / count, densities, cup);
  return Array.from({ length: count }, () => batch);
}
