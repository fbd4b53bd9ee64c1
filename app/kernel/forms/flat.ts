/** An object's leaves by their dotted paths: `{ facts: { battery: 'out' } }` gives `{ 'facts.battery': 'out' }`. */
export function flat(value: Record<string, unknown>, before = ''): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(value).flatMap(([key, inside]) =>
      inside !== null && typeof inside === 'object' && !Array.isArray(inside)
        ? Object.entries(flat(inside as Record<string, unknown>, `${before}${key}.`))
        : [[before + key, inside]],
    ),
  )
}
