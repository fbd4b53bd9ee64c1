/** A figure with its sign turned, as it is typed. */
export const turned = (typed: unknown): string => {
  const text = String(typed ?? '').trim()
  return /^[-−]/.test(text) ? text.slice(1) : `−${text}`
}
