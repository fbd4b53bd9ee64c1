/** So many minutes in the largest unit that fits: 3 d, 5 h, 12 min. */
export function minutesInWords(minutes: number): string {
  if (minutes < 60) return `${minutes} min`
  const hours = Math.round(minutes / 60)
  return hours < 48 ? `${hours} h` : `${Math.round(hours / 24)} d`
}

/** How long until an instant. */
export function timeLeft(until: string, now: Date): string {
  const minutes = Math.ceil((Date.parse(until) - now.getTime()) / 60_000)
  return minutes <= 0 ? 'over' : minutesInWords(minutes)
}
