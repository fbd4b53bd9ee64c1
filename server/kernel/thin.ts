const mostPoints = 400

/** Of a long trace or log every so many points: a sheet is fetched anew at every change. */
export function thinned<T>(samples: readonly T[]): T[] {
  const step = Math.ceil(samples.length / mostPoints)
  return step > 1 ? samples.filter((_, i) => i % step === 0) : [...samples]
}
