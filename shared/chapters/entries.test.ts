import { describe, expect, it } from 'vitest'
import { entryExamples as examples } from '../../tests/support/entry-examples'
import former from '../../tests/support/entries-of-former-days.json' with { type: 'json' }
import { type EntryKind, entries, isOpen, isStrikeable, publicSentenceOf, sentenceOf, writtenIn } from './index'

/** Kinds whose words nobody listens to as they are written, and why. */
const notListenedTo = {
  'names of things, people and places': `machine.booked-in provenance.recorded identity.corrected model.joined assembly.added scale.set portrait.chosen model.added model.changed
    passport.pictures bag.ended thing.added thing.changed shelf.added shelf.changed shelf.used shelf.put-back booking.made booking.ended board.added board.pairs
    board.part-typed board.noted board.pin-struck board.changed board.registered probe.begun list.kept list.dropped person.forgotten person.renamed
    person.password-changed supply.added supply.changed configuration.set rails.expected fault.parts build-up.planned build-up.changed capacitors.listed
    capacitors.kept inventory.listed inventory.looked settings.noted setting.described setting.back`,
  'sentences of the program': `date-code.read corrosion.measured opening.back gate.changed gate.overrule-ended inlet.expected supply.assigned start.called-off
    start.ended cleaning.step-added cleaning.step-done cleaning.step-reopened cleaning.step-given drying.started drying.weighed whitening.followed whitening.measured off-state.measured
    reading.taken soak.begun soak.tallied soak.untallied soak.log-opened soak.log-said sign-off.ended result.pinned job.started job.reopened contamination.stepped`,
  'heard where they are kept: claims, damage, hazards, facts, answers to what was heard': `claim.recorded damage.patina hazard.settled
    saying.settled alarm.explained last-powered.recorded copper.bare copper.sealed cleaning.part cleaning.done`,
  'of the house, its owners and its models, not of what this machine does': `path.chosen consent.recorded consent.passed-over owner.written-to owner.closed
    gate.overruled code.noted theory.held held.added held.changed held.given held.put held.spared
    held.written-off order.placed wants.shown board.set offer.made offer.taken-up offer.cleared prices.set bulletin.accepted bulletin.withdrawn bulletin.read entry.struck
    custody.put-off practice.set probe.again machine.signed-off wait.resumed`,
}

/** The same with a word of its own behind every text of more than one word. */
const withWord = (value: unknown): unknown =>
  typeof value === 'string' && /\s/.test(value)
    ? `${value} Quillon`
    : Array.isArray(value)
      ? value.map(withWord)
      : typeof value === 'object' && value !== null
        ? Object.fromEntries(Object.entries(value).map(([key, one]) => [key, withWord(one)]))
        : value

describe('every kind of entry', () => {
  it('is listened to where people write in their own words, or says why not', () => {
    const deaf = new Set(Object.values(notListenedTo).flatMap(kinds => kinds.split(/\s+/)))
    const heard = (kind: string, data: unknown) => JSON.stringify(writtenIn(kind, data)).includes('Quillon')
    const unheard = Object.entries(examples).flatMap(([kind, [data]]) => {
      const told = withWord(data)
      return JSON.stringify(told ?? null).includes('Quillon') && !heard(kind, told) && !entries[kind as EntryKind].written ? [kind] : []
    })
    expect(unheard.filter(kind => !deaf.has(kind))).toEqual([])
    expect([...deaf].filter(kind => entries[kind as EntryKind].written)).toEqual([])
    for (const kind of ['fault.tried', 'fault.repaired', 'job.done', 'claim.judged', 'question.asked', 'job.handed-on'] as const)
      expect(entries[kind].written, kind).not.toBeNull()
  })

  it.each(Object.entries(examples))('%s reads as one sentence', (kind, [data, sentence]) => {
    expect(sentenceOf(kind, JSON.parse(JSON.stringify(data)))).toBe(sentence)
  })

  it('is read in every shape that it ever had: no field that was not there before is needed', () => {
    for (const [kind, data] of former as [EntryKind, unknown][]) expect(sentenceOf(kind, data), `${kind} ${JSON.stringify(data)}`).not.toBe(`${kind}.`)
    // The shapes of today are those of former days tomorrow: a new one is put down as a line of its own, and none is ever taken out or changed.
    const shapeOf = (data: unknown) => JSON.stringify(Object.keys((data ?? {}) as object).sort())
    const known = new Set(former.map(([kind, data]) => `${String(kind)} ${shapeOf(data)}`))
    const missing = Object.entries(examples).filter(([kind, [data]]) => !known.has(`${kind} ${shapeOf(JSON.parse(JSON.stringify(data)))}`))
    expect(missing.map(([kind, [data]]) => JSON.stringify([kind, data]))).toEqual([])
  })

  it('is open to nobody where it names a donor, an owner, a claimant, what was paid, or trust', () => {
    const kinds = Object.keys(entries) as EntryKind[]
    const told = kinds.filter(
      kind => /provenance|claim|consent|money|owner|apprais|overrul|person|session|practice|printer|meter|lot\./.test(kind) && isOpen(kind),
    )
    expect(told).toEqual([])
    for (const kind of kinds) if (entries[kind].names) expect(isOpen(kind), kind).toBe(false)
    // Who cleaned is kept, and not told; nor is what a wait is for, or whom a part came from.
    expect(publicSentenceOf('cleaning.done', examples['cleaning.done'][0], true)).not.toContain('Hanneke')
    expect(publicSentenceOf('wait.started', { what: 'answer from the trust', until: '' }, true)).toBe('Wait started.')
    expect(publicSentenceOf('breakage.logged', examples['breakage.logged'][0], false)).toBeNull()
    expect(publicSentenceOf('breakage.logged', examples['breakage.logged'][0], true)).toContain('Broke')
  })

  it('can be struck only where it is an observation', () => {
    expect(isStrikeable('reading.taken')).toBe(true)
    expect(isStrikeable('machine.signed-off')).toBe(false)
  })

  it('of an unknown or older shape still reads as something, and is shown to nobody outside', () => {
    expect(sentenceOf('reading.taken', { volts: 5 })).toBe('reading.taken.')
    expect([isOpen('of.tomorrow'), isStrikeable('of.tomorrow')]).toEqual([false, false])
  })
})
