import { writtenDay } from '#core/kernel/days'
import { fixed } from '#core/kernel/figure'
import { decimals } from '#core/kernel/figure'
import { z } from 'zod'
import { type ContaminationKind, type ContaminationStep, contaminationKinds, contaminationStateNames } from '#core/cleaning/contamination'
import { boardSchools, plasticSchools } from '#core/cleaning/words'
import { besideCleaning, ending, entry, mishap, observed, shown } from '../../kernel/contract'
import { word } from '../../kernel/fields'
import { type ExposureKind, type Sealant, exposureKinds, sealants } from './words'

const s = z.string()
const n = z.number()
const grams = (g: number) => `${decimals(g, 2)} g`
const colour = (d: { l: number; a: number; b: number }) => `L* ${fixed(d.l, 1)}, a* ${fixed(d.a, 1)}, b* ${fixed(d.b, 1)}`
const small = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)

export const entries = {
  'cleaning.done': entry(z.object({ what: s, withWhat: s, byWhom: s }), d => `Cleaned ${d.what} with ${d.withWhat}.`, observed),
  'cleaning.part': entry(
    z.object({ name: s, made: s, soiled: s, works: s }),
    d => `${d.name}: made of ${d.made || 'nobody knows what'}; ${d.soiled ? `soiled with ${d.soiled}` : 'not soiled'}; ${small(d.works)}.`,
    shown,
  ),
  'cleaning.part-dropped': entry(z.object({ name: s }), d => `${d.name} is no longer cleaned apart.`, shown),
  'cleaning.schools': entry(
    z.object({ boards: word<keyof typeof boardSchools>().nullable(), plastic: word<keyof typeof plasticSchools>().nullable() }),
    d =>
      `Practice of cleaning for this machine: boards ${d.boards ? small(boardSchools[d.boards].title) : 'as the collection has it'}, yellowed plastic ${d.plastic ? small(plasticSchools[d.plastic].title) : 'as the collection has it'}.`,
    shown,
  ),
  'cleaning.planned': entry(z.object({ steps: n, minutes: n }), d => `Cleaning planned: ${d.steps} steps, about ${d.minutes} minutes.`, shown),
  'cleaning.parts-taken-over': entry(
    z.object({ from: s, parts: n }),
    d => `Took over from ${d.from} what ${d.parts === 1 ? 'a part is' : `${d.parts} parts are`} made of.`,
    shown,
  ),
  'cleaning.step-added': entry(z.object({ says: s }), d => `Step of cleaning added: ${ending(small(d.says))}`, shown),
  'cleaning.step-done': entry(z.object({ says: s }), d => `Cleaned: ${ending(small(d.says))}`, shown),
  'cleaning.step-left': entry(
    z.object({ says: s, reason: s }),
    d => `Left out: ${small(d.says)}; ${ending(d.reason)}`,
    shown,
    d => besideCleaning(d.reason),
  ),
  'cleaning.step-reopened': entry(
    z.object({ says: s, wait: s.optional() }),
    d => `Not so after all, open again: ${ending(small(d.says))}${d.wait ? ` Its wait is taken back: ${ending(d.wait)}` : ''}`,
    shown,
  ),
  'cleaning.step-given': entry(
    z.object({ says: s, to: s }),
    d => (d.to ? `${d.to} takes: ${ending(small(d.says))}` : `Nobody in particular takes: ${ending(small(d.says))}`),
    { open: false },
  ),
  'breakage.logged': entry(
    z.object({ what: s, how: s }),
    d => `Broke: ${d.what}. ${ending(d.how)}`,
    mishap,
    d => [d.what, d.how],
  ),
  'contamination.found': entry(
    z.object({ kind: word<ContaminationKind>(), where: s, says: s }),
    d => `${contaminationKinds[d.kind].title} found, ${d.where}${d.says ? `: ${ending(d.says)}` : '.'}`,
    observed,
    d => besideCleaning(d.says),
  ),
  'contamination.stepped': entry(
    z.object({ kind: word<ContaminationKind>(), where: s, step: word<ContaminationStep>() }),
    d => `${contaminationKinds[d.kind].title}, ${d.where}: ${small(contaminationStateNames[d.step])}.`,
    shown,
  ),
  'copper.bare': entry(z.object({ where: s }), d => `Bare copper after cleaning: ${ending(d.where)}`, shown),
  'copper.sealed': entry(
    z.object({ where: s, withWhat: word<Sealant>() }),
    d => `Bare copper sealed, ${d.where}: ${small(sealants[d.withWhat])}, pads kept free.`,
    shown,
  ),
  'counted.out': entry(z.object({ what: s, out: n }), d => `Counted out: ${d.out} × ${ending(d.what)}`, mishap),
  'counted.back': entry(
    z.object({ what: s, out: n, back: n, note: s }),
    d => (d.back === d.out ? `Counted back, all of them: ${d.out} × ${ending(d.what)}` : `Counted back: ${d.back} of ${d.out} × ${d.what}. ${ending(d.note)}`),
    mishap,
    d => [d.note],
  ),
  'drying.started': entry(z.object({ what: s, massG: n }), d => `Laid out to dry: ${d.what}, ${grams(d.massG)}.`, shown),
  'drying.weighed': entry(
    z.object({ what: s, massG: n, says: s, weighedAt: s.nullable().default(null) }),
    d => `Weighed ${d.what}${d.weighedAt ? ' before it was typed' : ''}: ${grams(d.massG)}. ${d.says}`,
    observed,
  ),
  'drying.ended': entry(
    z.object({ what: s, reason: s }),
    d => (d.reason ? `Taken up before it was dry by its mass: ${d.what}; ${ending(d.reason)}` : `Dry by its mass: ${d.what}.`),
    shown,
    d => besideCleaning(d.reason),
  ),
  'whitening.followed': entry(
    z.object({ name: s, goalB: n, l: n, a: n, b: n }),
    d => `Whitening of ${d.name} is followed: ${colour(d)}; done at a difference of ${d.goalB} in b*.`,
    shown,
  ),
  'whitening.measured': entry(
    z.object({ name: s, l: n, a: n, b: n, hours: n, says: s }),
    d => `Colour of ${d.name} after ${decimals(d.hours, 1)} h: ${colour(d)}. ${d.says}`,
    observed,
  ),
  'whitening.exposed': entry(
    z.object({ name: s, how: word<ExposureKind>(), hours: n, strengthPct: n.nullable(), temperatureC: n.nullable(), turned: z.boolean(), note: s }),
    d =>
      `${d.name} treated for ${decimals(d.hours, 2)} h: ${[
        small(exposureKinds[d.how]),
        d.strengthPct === null ? '' : `${d.strengthPct} %`,
        d.temperatureC === null ? '' : `${d.temperatureC} °C`,
        d.turned ? 'turned' : '',
        d.note,
      ]
        .filter(Boolean)
        .join(', ')}.`,
    observed,
    d => besideCleaning(d.note),
  ),
  'whitening.sunned': entry(
    z.object({ name: s, days: n, hours: n, from: s, to: s }),
    d => `${d.name} in the sun, from a table: ${decimals(d.hours, 1)} h on ${d.days} ${d.days === 1 ? 'day' : 'days'}, ${d.from} to ${d.to}.`,
    shown,
  ),
  'whitening.ended': entry(
    z.object({ name: s, outcome: s, relookOn: s.nullable() }),
    d => `Whitening of ${d.name} ended: ${ending(d.outcome)}${d.relookOn ? ` To be looked at again on ${writtenDay(d.relookOn)}.` : ''}`,
    shown,
    d => besideCleaning(d.outcome),
  ),
} as const
