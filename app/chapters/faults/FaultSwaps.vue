<script setup lang="ts">
import type { PartKind } from '#core/diagnosis/part-priors'
import type { SwapPart, SwapTest } from '#core/diagnosis/swap'
import type { MachineSheet } from '#shared/chapters/index'

/** The swap board of a fault: each trial is kept as an attempt, and what explains them all stands beside. */
const props = defineProps<{ tag: string; fault: MachineSheet['faults'][number]; priors: MachineSheet['partPriors']; proposed: MachineSheet['partsToSwap'] }>()
const session = useSession()
const tests = computed<SwapTest[]>(() => props.fault.attempts.flatMap(a => (a.trial ? [a.trial] : [])))
/** Where nobody says how likely a part is at fault, the collection's own causes do. */
const parts = computed<SwapPart[]>(() =>
  props.fault.swapParts.map(p => ({ ...p, ...(p.prior === undefined && props.priors[p.kind as PartKind] ? { prior: props.priors[p.kind]! } : {}) })),
)
const { submitCommand: setParts, busy: settingParts, failure: partsFailure, stale } = useCommand('set-swap-parts', () => props.tag)
const { submitCommand: tryIt, busy: trying, failure: tryFailure } = useCommand('try-on-fault', () => props.tag)
const minutes = ref('')
const id = useId()
const keepParts = (now: SwapPart[]) =>
  setParts({
    faultId: props.fault.id,
    version: props.fault.version,
    parts: now.map(({ prior, ...p }) => ({ ...p, ...(props.fault.swapParts.find(f => f.name === p.name)?.prior ? { prior } : {}) })),
  })
const words = { works: 'it works', fails: 'it fails', sometimes: 'it fails sometimes' } as const
async function keepTrial(trial: SwapTest) {
  const { runs = 1, trusted = true } = trial
  await tryIt({
    faultId: props.fault.id,
    area: 'swap',
    did: `Swap: ${words[trial.outcome]}`,
    minutes: minutes.value as never,
    trial: { ...trial, parts: [...trial.parts], runs, trusted },
  })
  minutes.value = ''
}
</script>

<template>
  <section class="grid gap-3" aria-label="Swap board">
    <CautionNote about="mains" />
    <p v-if="partsFailure || tryFailure" role="alert" class="text-stop">{{ partsFailure || tryFailure }}</p>
    <p v-if="stale" role="alert" class="text-care">Somebody else changed the board in the meantime; this is how it is now. Please do it again.</p>
    <div v-if="fault.open" class="grid w-40 gap-1">
      <label :for="id" class="font-semibold">Minutes it took</label><input :id="id" v-model="minutes" class="entry figure" inputmode="numeric" />
    </div>
    <p v-if="!parts.length && proposed.length && fault.open && session.may('set-swap-parts')" class="border-l-4 border-note bg-note-wash px-3 py-2">
      <button type="button" class="button" :disabled="settingParts" @click="keepParts(proposed)">Begin with the parts of this machine</button>
      <span class="hint block">{{ proposed.map(p => p.name).join(', ') }}</span>
    </p>
    <SwapBoard
      :parts="parts"
      :tests="tests"
      :busy="settingParts || trying"
      :may-write="fault.open && session.may('try-on-fault')"
      @trial="keepTrial"
      @parts="keepParts"
    />
  </section>
</template>
