import { seeded } from '../../core/kernel/random'

/** What the made-up photographs are drawn from: shapes in SVG, with noise for crust and rust. */
export const size = { width: 1800, height: 1200 }

/** A pencil with a memory: the same seed draws the same picture. */
export function pencil(seed: number) {
  const random = seeded(seed)
  return {
    random,
    between: (low: number, high: number) => low + random() * (high - low),
    pick: <T>(from: readonly T[]) => from[Math.floor(random() * from.length)]!,
  }
}
export type Pencil = ReturnType<typeof pencil>

export const rect = (x: number, y: number, w: number, h: number, fill: string, more = '') =>
  `<rect x="${x}" y="${y}" width="${w}" height="${h}" fill="${fill}" ${more}/>`
export const circle = (x: number, y: number, r: number, fill: string, more = '') => `<circle cx="${x}" cy="${y}" r="${r}" fill="${fill}" ${more}/>`
export const path = (d: string, more: string) => `<path d="${d}" ${more}/>`
export const words = (x: number, y: number, text: string, px: number, fill: string, more = '') =>
  `<text x="${x}" y="${y}" font-family="monospace" font-size="${px}" fill="${fill}" ${more}>${text}</text>`

/** An outline that wobbles like something that grew. */
export function blot({ between }: Pencil, x: number, y: number, r: number, fill: string, more = ''): string {
  const points = Array.from({ length: 18 }, (_, i) => {
    const [angle, reach] = [(i / 18) * 2 * Math.PI, r * between(0.62, 1.15)]
    return `${(x + Math.cos(angle) * reach).toFixed(1)},${(y + Math.sin(angle) * reach * 0.86).toFixed(1)}`
  })
  return `<polygon points="${points.join(' ')}" fill="${fill}" stroke="${fill}" stroke-width="${(r * 0.25).toFixed(1)}" stroke-linejoin="round" ${more}/>`
}

/** Roughens an edge and speckles a surface, as crust and rust are rough and speckled. */
const filters = `
  <filter id="rough" x="-0.3" y="-0.3" width="1.6" height="1.6"><feTurbulence type="fractalNoise" baseFrequency="0.035" numOctaves="2" seed="8" result="n"/><feDisplacementMap in="SourceGraphic" in2="n" scale="34"/></filter>
  <filter id="crusty" x="-0.3" y="-0.3" width="1.6" height="1.6"><feTurbulence type="fractalNoise" baseFrequency="0.05" numOctaves="2" seed="8" result="n"/><feDisplacementMap in="SourceGraphic" in2="n" scale="30" result="d"/><feTurbulence type="fractalNoise" baseFrequency="0.22" numOctaves="2" seed="4"/><feColorMatrix values="0 0 0 0 0.95  0 0 0 0 1  0 0 0 0 0.96  0 0 0 1.5 -0.55" result="s"/><feComposite in="s" in2="d" operator="in" result="t"/><feMerge><feMergeNode in="d"/><feMergeNode in="t"/></feMerge></filter>
  <filter id="soft" x="-0.3" y="-0.3" width="1.6" height="1.6"><feGaussianBlur stdDeviation="9"/></filter>
  <filter id="shadow" x="-0.2" y="-0.2" width="1.5" height="1.6"><feDropShadow dx="5" dy="7" stdDeviation="5" flood-color="#000" flood-opacity="0.5"/></filter>
  <linearGradient id="light" x1="0" y1="0" x2="1" y2="1"><stop offset="0" stop-color="#fff" stop-opacity="0.10"/><stop offset="0.5" stop-color="#fff" stop-opacity="0"/><stop offset="1" stop-color="#000" stop-opacity="0.26"/></linearGradient>`

/** A whole picture: what lies on the bench, under one lamp. */
export const photograph = (
  bench: string,
  content: string,
) => `<svg xmlns="http://www.w3.org/2000/svg" width="${size.width}" height="${size.height}" viewBox="0 0 ${size.width} ${size.height}">
<defs>${filters}</defs>${rect(0, 0, size.width, size.height, bench)}${content}
${rect(0, 0, size.width, size.height, 'url(#light)')}</svg>`
