import { type GateResult, assessGate } from '#core/safety/gate'
import { gateWords } from '#core/safety/gate-words'
import { shortUnproved } from '#core/power/rules'
import type { PowerFacts } from '#core/safety/power-facts'
import type { SheetOf } from '#shared/chapters/index'

/** The gate with what is being entered, and what would change by it, in a few words; nothing while nothing would. */
export function useGateAsEntered(sheet: MaybeRefOrGetter<SheetOf<'look' | 'power'>>, facts: Ref<PowerFacts>, inspectedBy: Ref<string>) {
  const gate = computed<GateResult>(() => {
    const { power, hazards } = toValue(sheet)
    return assessGate({
      school: power.school,
      facts: facts.value,
      inspectedBy: inspectedBy.value,
      hazards,
      configuration: power.configuration,
      // Whether a short is proved hangs on what is being answered; all else was found elsewhere.
      heard: [
        ...power.heard.filter(h => h.finding.fact !== 'shortedRail'),
        ...shortUnproved(
          facts.value.shortedRail,
          power.offState.map(({ rail, last }) => ({ rail, verdict: last?.verdict ?? null })),
        ),
      ],
    })
  })
  const changed = computed(() => {
    const before = toValue(sheet).power.gate
    const [was, is] = [before.findings.map(f => f.says), gate.value.findings.map(f => f.says)]
    if (JSON.stringify(was) === JSON.stringify(is)) return ''
    if (before.verdict !== gate.value.verdict) return `${gateWords[before.verdict].title.toLowerCase()} until now`
    const [gone, come] = [was.filter(says => !is.includes(says)).length, is.filter(says => !was.includes(says)).length]
    return [gone && `${gone} ${gone === 1 ? 'reason' : 'reasons'} gone`, come && `${come} new`].filter(Boolean).join(', ') || 'in another order'
  })
  return { gate, changed }
}
