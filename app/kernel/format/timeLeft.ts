/** How long until an instant, in the largest unit that fits: 3 d, 5 h, 12 min. */
export function timeLeft(until: string, now: Date): string {
  const minutes = Math.ceil((Date.parse(until) - now.getTime()) / 60_000)
  if (minutes <= 0) return 'over'
  if (minutes < 60) return `${minutes} min`
  const hours = Math.round(minutes / 60)
  return hours < 48 ? `${hours} h` : `${Math.round(hours / 24)} d`
}
