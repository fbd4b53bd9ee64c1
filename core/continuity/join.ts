/**
 * Which of many things are joined to each other, joined pair by pair (disjoint sets, by size, with halved paths).
 * Source: Tarjan 1975, Efficiency of a good but not linear set union algorithm.
 */
export class Joined {
  private readonly parent: number[]
  private readonly size: number[]

  constructor(count: number) {
    this.parent = Array.from({ length: count }, (_, i) => i)
    this.size = new Array<number>(count).fill(1)
  }

  of(one: number): number {
    let at = one
    while (this.parent[at] !== at) {
      this.parent[at] = this.parent[this.parent[at]!]!
      at = this.parent[at]!
    }
    return at
  }

  /** @returns whether they had not been joined yet */
  join(a: number, b: number): boolean {
    let [p, q] = [this.of(a), this.of(b)]
    if (p === q) return false
    if (this.size[p]! < this.size[q]!) [p, q] = [q, p]
    this.parent[q] = p
    this.size[p]! += this.size[q]!
    return true
  }

  together = (a: number, b: number) => this.of(a) === this.of(b)
}

/**
 * The edges of a minimum spanning tree over points, the cheapest first. Source: Kruskal 1956.
 * @param cost of the edge between two points, by their indexes; not finite where there is none
 * @param start what is joined already
 */
export function spanningTree(count: number, cost: (a: number, b: number) => number, start = new Joined(count)): [a: number, b: number][] {
  const edges: [cost: number, a: number, b: number][] = []
  for (let a = 0; a < count; a++) for (let b = a + 1; b < count; b++) edges.push([cost(a, b), a, b])
  return edges
    .filter(([c]) => Number.isFinite(c))
    .sort((p, q) => p[0] - q[0] || p[1] - q[1] || p[2] - q[2])
    .flatMap(([, a, b]): [number, number][] => (start.join(a, b) ? [[a, b]] : []))
}
