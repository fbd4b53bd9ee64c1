import munkres from 'munkres'

/**
 * The assignment of rows to columns, at most one of each, with the greatest total worth (Kuhn 1955, Munkres 1957).
 * @param worth a row for each hand, a column for each job, 0 or more; `null` where the two do not go together. All rows are equally long.
 * @returns the column of each row; `null` for a row that gets none. Rows or columns stay without one rather than take what does not go together.
 */
export function bestAssignment(worth: readonly (readonly (number | null)[])[]): (number | null)[] {
  const columns = worth[0]?.length ?? 0
  if (!columns) return worth.map(() => null)
  const top = Math.max(1, ...worth.flat().map(w => w ?? 0))
  // Every row may stay without: a column of its own that is worth nothing, and better than what does not go together.
  const none = top + 1
  const never = none * (worth.length + 1)
  const costs = worth.map((row, at) => [...row.map(w => (w === null ? never : none - w)), ...worth.map((_, own) => (own === at ? none : never))])
  const chosen: (number | null)[] = worth.map(() => null)
  for (const [row, column] of munkres(costs)) if (column < columns && worth[row]![column] !== null) chosen[row] = column
  return chosen
}
