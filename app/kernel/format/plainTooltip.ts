/**
 * What every chart's pointer shows, as text: a tooltip of the chart library is HTML otherwise, and what people typed would run as a script.
 * The lint rules hold every chart to it.
 */
export const plainTooltip = { renderMode: 'richText', confine: true } as const
