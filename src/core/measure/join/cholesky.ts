/** A square matrix, row by row. */
export type Matrix = readonly (readonly number[])[];

/** A zero matrix of `size` rows that may be written. */
export function zeros(size: number): number[][] {
  return Array.from({ length: size }, () => new Array<number>(size).fill(0));
}

/** Adds `weight · a·bᵀ` to a matrix in place. */
export function addOuter(
  matrix: number[][],
  a: readonly number[],
  b: readonly number[],
  weight: number,
): void {
  for (let row = 0; row < a.length; row += 1) {
    if (a[row] === 0) continue;
    for (let column = 0; column < b.length; column += 1) {
      matrix[row]![column]! += weight * a[row]! * b[column]!;
    }
  }
}

/** Sum of the products of two vectors of one length. */
export function dot(a: readonly number[], b: readonly number[]): number {
  let sum = 0;
  for (let index = 0; index < a.length; index += 1) sum += a[index]! * b[index]!;
  return sum;
}

/** `aᵀ·M·b`. */
export function quadratic(a: readonly number[], matrix: Matrix, b: readonly number[]): number {
  let sum = 0;
  for (let row = 0; row < a.length; row += 1) {
    if (a[row] !== 0) sum += a[row]! * dot(matrix[row]!, b);
  }
  return sum;
}

/**
 * Inverse of a symmetric positive definite matrix by Cholesky's decomposition `M = L·Lᵀ`.
 *
 * @throws when the matrix is not positive definite: something in it is not held by any observation.
 */
export function invertSymmetric(matrix: Matrix): number[][] {
  const size = matrix.length;
  const lower = zeros(size);
  for (let row = 0; row < size; row += 1) {
    for (let column = 0; column <= row; column += 1) {
      let sum = matrix[row]![column]!;
      for (let k = 0; k < column; k += 1) sum -= lower[row]![k]! * lower[column]![k]!;
      if (row > column) lower[row]![column] = sum / lower[column]![column]!;
      else if (sum > 0) lower[row]![row] = Math.sqrt(sum);
      else throw new Error(`The normal matrix is not positive definite at row ${row}: ${sum}`);
    }
  }
  // Columns of the inverse: L·y = e, then Lᵀ·x = y.
  const inverse = zeros(size);
  for (let column = 0; column < size; column += 1) {
    const x = new Array<number>(size).fill(0);
    for (let row = column; row < size; row += 1) {
      let sum = row === column ? 1 : 0;
      for (let k = column; k < row; k += 1) sum -= lower[row]![k]! * x[k]!;
      x[row] = sum / lower[row]![row]!;
    }
    for (let row = size - 1; row >= 0; row -= 1) {
      let sum = x[row]!;
      for (let k = row + 1; k < size; k += 1) sum -= lower[k]![row]! * x[k]!;
      x[row] = sum / lower[row]![row]!;
    }
    for (let row = 0; row < size; row += 1) inverse[row]![column] = x[row]!;
  }
  return inverse;
}
