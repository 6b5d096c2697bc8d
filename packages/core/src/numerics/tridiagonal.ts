/**
 * Solves lower[i] x[i−1] + diagonal[i] x[i] + upper[i] x[i+1] = right[i] in place: x stands in `right` afterwards.
 * Source  the elimination of Thomas 1949; safe for diagonally dominant systems, which diffusion gives.
 */
export function solveTridiagonal(
  count: number,
  lower: Float64Array,
  diagonal: Float64Array,
  upper: Float64Array,
  right: Float64Array,
): void {
  // Upper and right are scaled by their diagonal on the way: one division a row.
  let inverse = 1 / diagonal[0]!;
  upper[0] = upper[0]! * inverse;
  right[0] = right[0]! * inverse;
  for (let i = 1; i < count; i++) {
    inverse = 1 / (diagonal[i]! - lower[i]! * upper[i - 1]!);
    upper[i] = upper[i]! * inverse;
    right[i] = (right[i]! - lower[i]! * right[i - 1]!) * inverse;
  }
  for (let i = count - 2; i >= 0; i--) right[i] = right[i]! - upper[i]! * right[i + 1]!;
}
