/**
 * Symmetric positive definite equations, solved in place: L D Lt without pivoting (Golub and Van Loan, 4.1). A list of
 * touches asks some ten thousand of some thirty unknowns each; a matrix library spends nine tenths of that on copies.
 */

/** @param matrix n x n by rows; its lower half becomes the factors. */
export function factorSymmetric(matrix: Float64Array, n: number): void {
  for (let j = 0; j < n; j++) {
    let pivot = matrix[j * n + j]!;
    for (let k = 0; k < j; k++) pivot -= matrix[j * n + k]! ** 2 * matrix[k * n + k]!;
    matrix[j * n + j] = pivot;
    for (let i = j + 1; i < n; i++) {
      let value = matrix[i * n + j]!;
      for (let k = 0; k < j; k++) value -= matrix[i * n + k]! * matrix[j * n + k]! * matrix[k * n + k]!;
      matrix[i * n + j] = value / pivot;
    }
  }
}

/** @param right n values; becomes the solution. */
export function solveFactored(factors: Float64Array, right: Float64Array): void {
  const n = right.length;
  for (let i = 0; i < n; i++) for (let k = 0; k < i; k++) right[i]! -= factors[i * n + k]! * right[k]!;
  for (let i = 0; i < n; i++) right[i]! /= factors[i * n + i]!;
  for (let i = n - 1; i >= 0; i--) for (let k = i + 1; k < n; k++) right[i]! -= factors[k * n + i]! * right[k]!;
}
