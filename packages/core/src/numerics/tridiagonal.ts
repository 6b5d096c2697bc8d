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
  for (let i = 1; i < count; i++) {
    const share = lower[i]! / diagonal[i - 1]!;
    diagonal[i] = diagonal[i]! - share * upper[i - 1]!;
    right[i] = right[i]! - share * right[i - 1]!;
  }
  right[count - 1] = right[count - 1]! / diagonal[count - 1]!;
  for (let i = count - 2; i >= 0; i--) right[i] = (right[i]! - upper[i]! * right[i + 1]!) / diagonal[i]!;
}
