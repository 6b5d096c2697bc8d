/** Which drawing stands for which answer. Answers without one are told by their words alone. */
import type { Pattern } from '@orthochrom/core/gun/patternSymptoms.ts';

const FAMILY = {
  bumpy_texture: 'bumps',
  drip_or_curtain: 'drips',
  tiny_holes_or_blisters: 'holes',
  round_craters: 'craters',
  rough_or_dusty: 'dusty',
  bands_or_clouds: 'bands',
  dull_or_milky: 'milky',
  wrinkles_lines_or_contour: 'wrinkles',
  flakes_or_cracks: 'flakes',
  specks: 'specks',
  shade_or_tint_wrong: 'shade',
  soft_film: 'print',
  drop_marks: 'drops',
};

export const DRAWN_AS: Record<string, Record<string, string>> = {
  q_family: FAMILY,
  q_hole: {
    torn_pit_or_blister: 'pit',
    narrow_clean_hole: 'narrowHole',
    saucer_smooth_rim: 'saucer',
    round_bubble_closed: 'bubbles',
    solid_grain: 'grain',
    no_hole: 'flat',
  },
  q_relief: { stands_up: 'standsUp', dips_in: 'dipsIn', both: 'upAndDown', flat: 'flat' },
  q_cell: {
    under_2mm: 'tight',
    '2_to_6mm': 'wide',
    over_6mm_rolling: 'rolling',
    no_texture: 'flat',
  },
  q_level_sand: { flat_below: 'flatBelow', wave_below: 'waveBelow' },
  q_where_hole_ends: {
    gone: 'sandedFlat',
    stay_smaller: 'smaller',
    more_open_up: 'moreOpen',
    into_primer_or_filler: 'intoPrimer',
  },
  q_run_shape: { trickle: 'drips', drape: 'drape', none: 'plain' },
  q_geometry: {
    bands: 'bands',
    clouds: 'clouds',
    whole_panel: 'whole',
    follows_repair: 'repair',
    spots_edges: 'edges',
    none: 'plain',
  },
  q_lines: {
    scratches: 'scratches',
    one_contour: 'contour',
    cracks: 'cracks',
    folds: 'wrinkles',
    none: 'plain',
  },
  q_spread: { wipe_shape: 'wipe', gun_path: 'path', random: 'random', thick_zones: 'thickZones' },
  c_wipe_path: { wipe_shape: 'wipe', gun_path: 'path', random: 'random' },
  q_orient: { upright: 'upright', flat_lying: 'lying', edges_lines: 'edges' },
  q_speck: { same_colour_balls: 'dusty', foreign_body: 'specks', none: 'plain' },
};

/** Answers that are a burst on paper. */
export const PATTERN_OF: Record<string, Record<string, Pattern>> = {
  q_family: { gun_sprays_badly: 'crescent' },
  q_burst: {
    even_oval: 'even',
    heavy_middle: 'heavyCentre',
    split_two_ends: 'split',
    crescent_one_side: 'crescent',
    one_end_heavy: 'oneEndHeavy',
    tilted: 'tilted',
    flutters_spits: 'flutter',
    thin_or_fading: 'even',
  },
};
