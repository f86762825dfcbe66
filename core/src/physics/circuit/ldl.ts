/**
 * Symmetric positive definite equations, solved in place: L D Lt without pivoting (Golub and Van Loan, 4.1). A list of
 * touches asks some ten thousand of some thirty unknowns each; a matrix library spends nine tenths of that on copies.
 */

let below = new Int32Array(64);

/**
 * Column by column; what is nought is left out, so that nodes with few neighbours should come first.
 * @param matrix n x n by rows; its lower half becomes the factors.
 */
export function factorSymmetric(matrix: Float64Array, n: number): void {
  if (below.length < n) below = new Int32Array(2 * n);
  for (let k = 0; k < n; k++) {
    const pivot = matrix[k * n + k]!;
    let count = 0;
    for (let i = k + 1; i < n; i++) if (matrix[i * n + k] !== 0) below[count++] = i * n;
    for (let one = 0; one < count; one++) {
      const row = below[one]!;
      const factor = matrix[row + k]! / pivot;
      // The rows up to this one still hold the column as it was.
      for (let other = 0; other <= one; other++)
        matrix[row + below[other]! / n]! -= factor * matrix[below[other]! + k]!;
    }
    for (let one = 0; one < count; one++) matrix[below[one]! + k]! /= pivot;
  }
}

/** @param right n values; becomes the solution. */
export function solveFactored(factors: Float64Array, right: Float64Array): void {
  const n = right.length;
  for (let i = 0; i < n; i++) {
    let value = right[i]!;
    for (let k = 0; k < i; k++) value -= factors[i * n + k]! * right[k]!;
    right[i] = value;
  }
  for (let i = 0; i < n; i++) right[i]! /= factors[i * n + i]!;
  // By rows of L, which are columns of its transpose.
  for (let i = n - 1; i > 0; i--) {
    const value = right[i]!;
    for (let k = 0; k < i; k++) right[k]! -= factors[i * n + k]! * value;
  }
}
