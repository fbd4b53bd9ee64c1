/** A line of figures: the first cell names them. */
export const row = (...cells: string[]) => console.log(cells.map((cell, i) => (i ? cell.padStart(14) : cell.padEnd(58))).join(''))
