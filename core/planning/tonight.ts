import { type Skill, skills } from '../kernel/skills'
import { bestAssignment } from './assignment'
import { type Band, bands } from '../kernel/move'

/** Somebody who is here tonight. Minutes are counted from the moment that the evening is dealt out. */
export interface Hand {
  id: number
  skills: readonly Skill[]
  coordinator: boolean
  /** How long they stay. */
  minutes: number
  /** What they have in hand already: which machine, and for how much longer by the guess. */
  inHand: readonly { tag: string; minutes: number }[]
}

/** Something that could be done tonight. The jobs of one machine stand in the order in which they are to be done. */
export interface EveningJob {
  key: string
  tag: string
  place: string
  band: Band
  /** How pressing its growing harm is; 0 where nothing gets worse. */
  harmRank: number
  minutes: number
  skill?: Skill
  coordinator?: boolean
  pair?: boolean
  /** A wait that ends tonight: not before this many minutes from now. */
  notBefore?: number
  /** Whoever wrote to this machine last. */
  knownTo?: number
  /** Somebody began it and handed it on. */
  handedOn?: boolean
  /** What it waits for, where it cannot be gone on with tonight. */
  waitsFor?: string
}

export interface DealtJob {
  key: string
  /** One, or two for a start; the first of two stands at the switch. */
  hands: number[]
  /** When it begins, in minutes from now, if all goes as guessed. */
  atMinute: number
  because: string[]
}

export interface Deal {
  dealt: DealtJob[]
  left: { key: string; why: string }[]
}

/** More than this in an evening is a list of wishes. */
export const mostEach = 4

/** What comes before any pair is made up: harm, and what ends tonight. */
const urgent: readonly Band[] = ['alarm', 'harm', 'loose', 'wait-over']
/** What comes last, however many it takes: it can wait for another evening. */
const late: readonly Band[] = ['sign-off', 'life', 'retest']

/** A band counts for more than everything else about a job together. */
const bandPoints = 40
const points = { harmUpTo: 15, wait: 8, handedOn: 8, known: 5, place: 4, spareSkill: -2 }

interface Interval {
  from: number
  to: number
}
interface Busy {
  hand: Hand
  intervals: Interval[]
  jobs: number
  pairs: number
  places: string[]
}

/** The first moment at which everybody named is free for so long, and still here at its end; nothing where there is none. */
function firstFree(busy: readonly Busy[], minutes: number, notBefore = 0): number | null {
  const starts = [notBefore, ...busy.flatMap(b => b.intervals.map(i => i.to))].filter(at => at >= notBefore).sort((a, b) => a - b)
  return (
    starts.find(from =>
      busy.every(({ hand, intervals }) => from + minutes <= hand.minutes && intervals.every(i => i.to <= from || i.from >= from + minutes)),
    ) ?? null
  )
}

/** What speaks for giving this job to this hand, in points; the band first. */
function worthOf(job: EveningJob, { hand, places }: Busy): number {
  const needed = job.skill ? 1 : 0
  return (
    (bands.length - bands.indexOf(job.band)) * bandPoints +
    Math.min(points.harmUpTo, job.harmRank / 10) +
    (job.notBefore === undefined ? 0 : points.wait) +
    (job.handedOn ? points.handedOn : 0) +
    (job.knownTo === hand.id ? points.known : 0) +
    (job.place && places.includes(job.place) ? points.place : 0) +
    (hand.skills.length - needed) * points.spareSkill
  )
}

const may = (job: EveningJob, hand: Hand) => (!job.skill || hand.skills.includes(job.skill)) && (!job.coordinator || hand.coordinator)

/**
 * Deals an evening out. First what does harm and what ends tonight; then each start gets its pair, one of them with the skill it takes, so
 * that nobody else is left without anything that they may do; then everybody who has time left gets one job
 * a round, up to four, and what can wait for another evening gets its pair after the first round. Each round
 * as a whole is the assignment that is worth most: bands of the next moves first, then harm that grows
 * faster, waits that end tonight, what was handed on, who knows the machine, and the place they work at already. Somebody with a rare skill is
 * kept free for what takes it. One machine is in one hand, or in that of one pair, all evening.
 * What is left over is left with its reason.
 */
export function dealTonight({ hands, jobs }: { hands: readonly Hand[]; jobs: readonly EveningJob[] }): Deal {
  const all: Busy[] = hands.map(hand => {
    let from = 0
    const intervals = hand.inHand.map(({ minutes }) => ({ from, to: (from += minutes) }))
    return { hand, intervals, jobs: hand.inHand.length, pairs: 0, places: [] }
  })
  const holder = new Map<string, number[]>()
  for (const { hand } of all) for (const { tag } of hand.inHand) holder.set(tag, [...(holder.get(tag) ?? []), hand.id])
  const dealt: DealtJob[] = []
  const open = new Map(jobs.filter(j => !j.waitsFor).map(j => [j.key, j]))

  const give = (job: EveningJob, to: Busy[], atMinute: number) => {
    for (const one of to) {
      one.intervals.push({ from: atMinute, to: atMinute + job.minutes })
      one.intervals.sort((a, b) => a.from - b.from)
      one.jobs++
      if (to.length > 1) one.pairs++
      if (job.place) one.places.push(job.place)
    }
    holder.set(
      job.tag,
      to.map(b => b.hand.id),
    )
    open.delete(job.key)
    dealt.push({ key: job.key, hands: to.map(b => b.hand.id), atMinute, because: [] })
  }
  const mayHold = (job: EveningJob, ids: number[]) => holder.get(job.tag)?.every(id => ids.includes(id)) ?? true

  /** Of each machine the first job that is left; the next becomes possible once that one is dealt. */
  const firstsOf = () => [...open.values()].filter((j, i, all) => all.findIndex(o => o.tag === j.tag) === i && !j.pair)
  const slotOf = (job: EveningJob, one: Busy) =>
    may(job, one.hand) && mayHold(job, [one.hand.id]) ? firstFree([one], job.minutes, Math.max(job.notBefore ?? 0, lastOfMachine(dealt, job, jobs))) : null

  /** How many of the others would have nothing to do, were these two taken. */
  const stranded = (two: readonly Busy[], pairJob: EveningJob) => {
    const others = all.filter(b => !two.includes(b) && b.jobs === 0)
    const firsts = firstsOf().filter(j => j.tag !== pairJob.tag)
    const chosen = bestAssignment(others.map(b => firsts.map(job => (slotOf(job, b) === null ? null : 1))))
    return chosen.filter(column => column === null).length
  }
  const dealPairs = (which: (job: EveningJob) => boolean) => {
    for (const job of [...open.values()].filter(j => j.pair && which(j)).sort(mostPressing)) {
      const pairs = all.flatMap(atSwitch =>
        all
          .filter(atProbe => atProbe !== atSwitch && may(job, atSwitch.hand) && [atSwitch, atProbe].every(b => b.jobs < mostEach && !b.pairs))
          .filter(atProbe => mayHold(job, [atSwitch.hand.id, atProbe.hand.id]))
          .flatMap(atProbe => {
            const at = firstFree([atSwitch, atProbe], job.minutes, Math.max(job.notBefore ?? 0, lastOfMachine(dealt, job, jobs)))
            const two = [atSwitch, atProbe]
            return at === null ? [] : [{ two, at, without: stranded(two, job), spared: atSwitch.hand.skills.length + atProbe.hand.skills.length }]
          }),
      )
      const [best] = pairs.sort((a, b) => a.without - b.without || a.at - b.at || a.spared - b.spared)
      if (best) give(job, best.two, best.at)
    }
  }
  /** One job for everybody who has time left. @returns whether anybody got one */
  const dealRound = (which: (job: EveningJob) => boolean) => {
    const firsts = firstsOf().filter(which)
    const free = all.filter(b => b.jobs < mostEach)
    const slots = free.map(b => firsts.map(job => slotOf(job, b)))
    const chosen = bestAssignment(free.map((b, i) => firsts.map((job, j) => (slots[i]![j] === null ? null : Math.max(1, worthOf(job, b))))))
    chosen.forEach((column, i) => column !== null && give(firsts[column]!, [free[i]!], slots[i]![column]!))
    return chosen.some(column => column !== null)
  }

  dealRound(job => urgent.includes(job.band))
  dealPairs(job => !late.includes(job.band))
  for (let round = 0; round < mostEach; round++) {
    const any = dealRound(() => true)
    if (round === 0) dealPairs(() => true)
    else if (!any) break
  }

  const byKey = new Map(jobs.map(j => [j.key, j]))
  for (const one of dealt) one.because = reasonsOf(byKey.get(one.key)!, one, dealt, byKey)
  const left = jobs.filter(j => !dealt.some(d => d.key === j.key)).map(job => ({ key: job.key, why: whyLeft(job, all, holder) }))
  return { dealt: dealt.sort((a, b) => a.atMinute - b.atMinute), left }
}

const mostPressing = (a: EveningJob, b: EveningJob) => bands.indexOf(a.band) - bands.indexOf(b.band) || b.harmRank - a.harmRank

/** When the job before it on the same machine is through. */
function lastOfMachine(dealt: readonly DealtJob[], job: EveningJob, jobs: readonly EveningJob[]): number {
  const before = dealt.flatMap(d => jobs.filter(j => j.key === d.key && j.tag === job.tag).map(j => d.atMinute + j.minutes))
  return Math.max(0, ...before)
}

function reasonsOf(job: EveningJob, own: DealtJob, dealt: readonly DealtJob[], byKey: Map<string, EveningJob>): string[] {
  const beside = dealt.find(d => d !== own && d.hands.some(h => own.hands.includes(h)) && byKey.get(d.key)!.place === job.place)
  return [
    job.pair ? 'It takes two: one at the switch, one at the probe.' : '',
    job.skill ? `It takes the skill “${skills[job.skill].title}”.` : '',
    job.harmRank ? 'It gets worse by waiting.' : '',
    job.notBefore === undefined ? '' : 'The wait ends tonight.',
    job.handedOn ? 'It was handed on.' : '',
    own.hands.includes(job.knownTo ?? -1) ? 'Knows the machine: wrote to it last.' : '',
    job.place && beside ? `Beside other work, in ${job.place}.` : '',
  ].filter(Boolean)
}

function whyLeft(job: EveningJob, all: readonly Busy[], holder: ReadonlyMap<string, number[]>): string {
  if (job.waitsFor) return job.waitsFor
  if (!all.length) return 'Nobody is here.'
  const able = all.filter(b => may(job, b.hand))
  if (job.coordinator && !able.length) return 'Only a coordinator may.'
  if (job.skill && !able.length) return `Nobody here has the skill “${skills[job.skill].title}”.`
  if (job.pair && all.length < 2) return 'A start takes two people.'
  if (job.pair && !holder.has(job.tag)) return 'No two who could are free together for so long, or they have a start already.'
  if (holder.has(job.tag)) return 'Somebody has this machine tonight, and no time left for more of it.'
  if (able.every(b => b.jobs >= mostEach)) return `Whoever could has ${mostEach} jobs already.`
  return job.notBefore === undefined ? `Nobody who could has ${job.minutes} minutes left.` : 'Nobody who could is here for long enough after the wait.'
}
