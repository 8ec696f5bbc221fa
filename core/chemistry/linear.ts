/** Solves a set of linear equations in place, the largest pivot of a column first; rows lie end to end. @returns false where they hang on one another */
export function solveLinear(rows: Float64Array, right: Float64Array, n: number): boolean {
  for (let i = 0; i < n; i++) {
    let pivot = i;
    for (let r = i + 1; r < n; r++)
      if (Math.abs(rows[r * n + i] as number) > Math.abs(rows[pivot * n + i] as number)) pivot = r;
    if (Math.abs(rows[pivot * n + i] as number) < 1e-300) return false;
    if (pivot !== i) {
      for (let c = i; c < n; c++) {
        const kept = rows[i * n + c] as number;
        rows[i * n + c] = rows[pivot * n + c] as number;
        rows[pivot * n + c] = kept;
      }
      const kept = right[i] as number;
      right[i] = right[pivot] as number;
      right[pivot] = kept;
    }
    for (let r = i + 1; r < n; r++) {
      const factor = (rows[r * n + i] as number) / (rows[i * n + i] as number);
      if (factor === 0) continue;
      for (let c = i; c < n; c++) rows[r * n + c] = (rows[r * n + c] as number) - factor * (rows[i * n + c] as number);
      right[r] = (right[r] as number) - factor * (right[i] as number);
    }
  }
  for (let i = n - 1; i >= 0; i--) {
    let sum = right[i] as number;
    for (let c = i + 1; c < n; c++) sum -= (rows[i * n + c] as number) * (right[c] as number);
    right[i] = sum / (rows[i * n + i] as number);
  }
  return true;
}
