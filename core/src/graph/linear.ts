/**
 * Solves A·X = B in place by elimination with partial pivoting: A is n × n, B n × m, both row after row; X stands in B afterwards. Throws where A is singular, which none is
 * that comes from a walk with a way out.
 */
export const solveInPlace = (a: Float64Array, n: number, b: Float64Array, m: number): void => {
  for (let k = 0; k < n; k++) {
    pivot(a, b, n, m, k);
    const top = k * n;
    const head = a[top + k]!;
    if (head === 0) throw new Error('no way leads out of these places');
    for (let i = k + 1; i < n; i++) {
      const row = i * n;
      const factor = a[row + k]! / head;
      // a map is mostly empty: most rows have nothing here
      if (factor === 0) continue;
      for (let j = k + 1; j < n; j++) a[row + j]! -= factor * a[top + j]!;
      for (let j = 0; j < m; j++) b[i * m + j]! -= factor * b[k * m + j]!;
    }
  }
  for (let k = n - 1; k >= 0; k--) {
    const head = a[k * n + k]!;
    for (let j = 0; j < m; j++) b[k * m + j]! /= head;
    for (let i = 0; i < k; i++) {
      const factor = a[i * n + k]!;
      if (factor === 0) continue;
      for (let j = 0; j < m; j++) b[i * m + j]! -= factor * b[k * m + j]!;
    }
  }
};

/** Brings the largest of a column to the top of what is left. */
const pivot = (a: Float64Array, b: Float64Array, n: number, m: number, k: number): void => {
  let best = k;
  for (let i = k + 1; i < n; i++) if (Math.abs(a[i * n + k]!) > Math.abs(a[best * n + k]!)) best = i;
  if (best === k) return;
  swap(a, n, k, best);
  swap(b, m, k, best);
};

const swap = (rows: Float64Array, width: number, one: number, other: number): void => {
  const kept = rows.slice(one * width, (one + 1) * width);
  rows.copyWithin(one * width, other * width, (other + 1) * width);
  rows.set(kept, other * width);
};
