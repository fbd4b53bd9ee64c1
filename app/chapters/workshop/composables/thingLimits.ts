import type { ThingView } from '#shared/chapters/workshop/index'

/** Room and warmth of a shared thing, in a few words. */
export const thingLimits = ({ roomL, minC, maxC }: Pick<ThingView, 'roomL' | 'minC' | 'maxC'>): string =>
  `${three(roomL)} l${maxC === null ? '' : `, ${minC === null ? 'up to' : `${minC} to`} ${maxC} °C`}`
