/**
 * For a form or a press that goes with what it was about: whoever works by keys is left on the card that it stood on. Called while it is still there.
 * @returns what leaves them there, once the page has done with it
 */
export function stayOnCard(): () => Promise<void> {
  const heading = document.activeElement?.closest('.card')?.querySelector('h2')
  return async () => {
    await nextTick()
    ;(heading?.querySelector('button') ?? heading)?.focus({ preventScroll: true })
  }
}
