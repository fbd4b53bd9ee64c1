/**
 * A time of the day from a field, on a clock of 24 hours: `21:30`, `2130`, `9`, `9.30 pm`.
 * @returns as `HH:mm`, or nothing where it cannot be read
 */
export function readTime(text: string): string | undefined {
  const parts = /^(\d{1,2})(?:[:.h]?([0-5]\d))?\s*(am|pm|h)?$/i.exec(text.trim())
  if (!parts) return undefined
  const half = parts[3]?.toLowerCase()
  const hour = Number(parts[1])
  const noon = half === 'am' || half === 'pm'
  if (noon ? hour < 1 || hour > 12 : hour > 23) return undefined
  const hours = noon ? (hour % 12) + (half === 'pm' ? 12 : 0) : hour
  return `${String(hours).padStart(2, '0')}:${parts[2] ?? '00'}`
}
