/** Whether there is the room of a phone when a page is opened; below 900 px the shelf goes and the thumb bar comes. */
export const onPhone = (): boolean => window.matchMedia('(width < 56.25rem)').matches
