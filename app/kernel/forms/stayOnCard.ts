/**
 * For a form or a press that goes with what it was about: whoever works by keys is left on the heading of the card that it stood on.
 * @param within what stays of that card
 */
export async function stayOnCard(within: HTMLElement | null): Promise<void> {
  const heading = within?.closest('.card')?.querySelector('h2')
  await nextTick()
  ;(heading?.querySelector('button') ?? heading)?.focus({ preventScroll: true })
}
