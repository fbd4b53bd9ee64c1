<script setup lang="ts">
import { type PartKind, partKindNames, partKinds } from '#core/diagnosis/part-priors'
import type { NextTest, SwapOutcome, SwapPart, SwapTest } from '#core/diagnosis/swap'

/**
 * Swaps: the parts of the machine and of the test bed, pressed or drawn into the next test; one press says how it came out,
 * and what explains all of it stands there at once, in words first.
 */
const props = defineProps<{ parts: SwapPart[]; tests: SwapTest[]; busy?: boolean; mayWrite?: boolean; mayForget?: boolean }>()
const emit = defineEmits<{ trial: [test: SwapTest]; parts: [parts: SwapPart[]]; forget: [index: number] }>()
const chosen = ref<string[]>(props.tests.at(-1)?.parts.slice() ?? props.parts.map(p => p.name))
watch(
  () => props.parts,
  // A board that was begun with the parts of the machine begins with all of them in it.
  (parts, before) =>
    (chosen.value = !before.length && parts.length > 1 ? parts.map(p => p.name) : chosen.value.filter(name => parts.some(p => p.name === name))),
)
const runs = ref('1')
const failures = ref('')
const trusted = ref(true)
const { result, weighing, trouble } = useSwaps(() => (props.parts.length ? { parts: props.parts, tests: props.tests } : undefined))

/** An empty board begins with its parts; they stay in sight while they are being added. */
const startsEmpty = !props.parts.length

const placeOf = (p: SwapPart) => p.place ?? p.kind
/** Parts that stand in for each other side by side. */
const places = computed(() => {
  const by = new Map<string, SwapPart[]>()
  for (const p of props.parts) by.set(placeOf(p), [...(by.get(placeOf(p)) ?? []), p])
  return [...by.values()]
})
/** A part that is put in takes the place of those that stand in for it. */
function toggle(part: SwapPart) {
  const inside = chosen.value.includes(part.name)
  const rivals = props.parts.filter(p => p !== part && placeOf(p) === placeOf(part)).map(p => p.name)
  chosen.value = inside ? chosen.value.filter(name => name !== part.name) : [...chosen.value.filter(name => !rivals.includes(name)), part.name]
}
const putIn = (name: string | undefined) => {
  const part = props.parts.find(p => p.name === name)
  if (part && !chosen.value.includes(part.name)) toggle(part)
}
function takeOver(next: NextTest) {
  chosen.value = [...next.parts]
  runs.value = String(next.runs)
}
function tried(outcome: SwapOutcome) {
  const times = Math.max(outcome === 'sometimes' ? 2 : 1, Math.round(Number(runs.value) || 1))
  const failed = outcome === 'sometimes' && failures.value.trim() ? Math.round(Number(failures.value)) : undefined
  emit('trial', {
    parts: [...chosen.value],
    outcome,
    runs: times,
    ...(failed === undefined || !Number.isFinite(failed) ? {} : { failures: failed }),
    trusted: trusted.value,
  })
  ;[runs.value, failures.value] = ['1', '']
}
const shareOf = (name: string) => result.value?.suspects.find(s => s.part === name)?.share ?? 0
const percent = (share: number) => (share > 0 && share < 0.01 ? 'under 1 %' : `${Math.round(share * 100)} %`)
const words = { works: 'worked', fails: 'failed', sometimes: 'failed sometimes' } as const
const inks = { works: 'text-fine', fails: 'text-stop', sometimes: 'text-care' } as const

const fresh = reactive({ name: '', kind: 'other' as PartKind, place: '', knownGood: false, precious: false, harms: false, optional: false })
const kinds = partKindNames.map(value => ({ value, label: partKinds[value].name }))
const nameTrouble = computed(() =>
  props.parts.some(p => p.name === fresh.name.trim()) ? 'There is already one with that name. Give this one a different name.' : undefined,
)
function addPart() {
  const name = fresh.name.trim()
  if (!name || nameTrouble.value) return
  const { kind, place, knownGood, precious, harms, optional } = fresh
  emit('parts', [
    ...props.parts,
    {
      name,
      kind,
      ...(place.trim() ? { place: place.trim() } : {}),
      ...(knownGood ? { knownGood } : {}),
      ...(precious ? { precious } : {}),
      ...(harms ? { harms } : {}),
      ...(optional ? { optional } : {}),
    },
  ])
  Object.assign(fresh, { name: '', place: '', knownGood: false, precious: false, harms: false, optional: false })
}
const id = useId()
</script>

<template>
  <div class="grid gap-4">
    <section class="grid gap-2" aria-label="Possible causes" aria-live="polite" :aria-busy="weighing">
      <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
      <template v-else-if="result">
        <FindingList :findings="result.findings" />
        <ol v-if="result.explanations.length" class="grid gap-1">
          <li v-for="one in result.explanations.slice(0, 6)" :key="one.parts.join()" class="grid grid-cols-[4.5rem_1fr] items-baseline gap-x-3">
            <span class="figure text-right">{{ percent(one.share) }}</span><span class="font-semibold">{{ one.parts.join(' and ') }}</span>
          </li>
        </ol>
        <p v-if="result.explanations.length > 6" class="hint">{{ result.explanations.length - 6 }} more, each less likely.</p>
        <div v-if="result.next.length" class="border-l-4 border-note bg-note-wash px-3 py-2">
          <p>
            <strong>Try next: {{ result.next[0]!.says }}</strong
            >&ensp;
            <span class="hint">{{ result.next[0]!.gainBits.toFixed(2) }} bits in about {{ result.next[0]!.minutes }} min</span>
          </p>
          <p v-if="mayWrite">
            <button type="button" class="button button-quiet" :disabled="weighing" @click="takeOver(result.next[0]!)">Use this for the next test</button
            ><span v-if="weighing" class="hint">&ensp;Weighing the last test…</span>
          </p>
          <details v-if="result.next.length > 1">
            <summary>Other useful tests</summary>
            <ul>
              <li v-for="one in result.next.slice(1)" :key="one.parts.join()">
                {{ one.says }} <span class="hint">{{ one.gainBits.toFixed(2) }} bits, {{ one.minutes }} min</span>
              </li>
            </ul>
          </details>
        </div>
        <p v-for="one in result.refused.slice(0, 2)" :key="one.parts.join()" class="border-l-4 border-stop bg-stop-wash px-3 py-1">
          <strong>Not suggested:</strong> {{ one.parts.join(', ') }}. {{ one.why }}
        </p>
        <p v-if="result.good.length" class="text-ink-2">Has worked in a trusted test, so none of these is dead: {{ result.good.join(', ') }}.</p>
      </template>
    </section>

    <section v-if="mayWrite" class="grid gap-2" aria-label="The next test">
      <h3>What is in the next test?</h3>
      <div class="flex flex-wrap gap-3" role="group" aria-label="Parts">
        <div v-for="place in places" :key="placeOf(place[0]!)" class="flex flex-wrap gap-1 border border-line p-1">
          <button
            v-for="part in place"
            :key="part.name"
            type="button"
            class="button min-h-11"
            :class="chosen.includes(part.name) ? 'button-main' : ''"
            :aria-pressed="chosen.includes(part.name)"
            draggable="true"
            @dragstart="e => e.dataTransfer?.setData('text/plain', part.name)"
            @click="toggle(part)"
          >
            {{ part.name }}<span v-if="part.knownGood" class="text-sm"> known good</span
            ><span v-if="shareOf(part.name) >= 0.01" class="figure text-sm"> {{ percent(shareOf(part.name)) }}</span>
          </button>
        </div>
      </div>
      <div
        class="min-h-14 border-2 border-dashed border-edge bg-mat p-2"
        role="group"
        aria-label="Parts in this test"
        @dragover.prevent
        @drop.prevent="e => putIn(e.dataTransfer?.getData('text/plain'))"
      >
        <p v-if="chosen.length">
          <span class="hint">In this test:</span> <strong>{{ chosen.join(', ') }}</strong>
        </p>
        <p v-else class="hint">Press the parts that are connected, or draw them here.</p>
      </div>
      <div class="flex flex-wrap items-end gap-3">
        <div class="grid gap-1">
          <label :for="`${id}r`" class="font-semibold">Runs</label><input :id="`${id}r`" v-model="runs" class="entry figure w-24" inputmode="numeric" />
        </div>
        <div class="grid gap-1">
          <label :for="`${id}f`" class="font-semibold">How many failed</label
          ><input :id="`${id}f`" v-model="failures" class="entry figure w-24" inputmode="numeric" />
        </div>
        <label class="flex min-h-11 items-center gap-2"
          ><input v-model="trusted" type="checkbox" class="h-5 w-5 accent-enamel" />The equipment used is known to be good</label
        >
      </div>
      <div class="grid grid-cols-3 gap-2" role="group" aria-label="Result">
        <button type="button" class="button min-h-12 justify-center" :disabled="busy || !chosen.length" @click="tried('works')">It works</button>
        <button type="button" class="button min-h-12 justify-center" :disabled="busy || !chosen.length" @click="tried('fails')">It fails</button>
        <button type="button" class="button min-h-12 justify-center" :disabled="busy || !chosen.length" @click="tried('sometimes')">Sometimes</button>
      </div>
    </section>

    <ol v-if="tests.length" class="grid divide-y divide-line border-y border-line" aria-label="Tests so far">
      <li v-for="(test, i) in tests" :key="i" class="flex flex-wrap items-baseline gap-x-3 py-1">
        <span class="figure">{{ i + 1 }}</span><span :class="inks[test.outcome]" class="font-semibold"
          >{{ words[test.outcome]
          }}<template v-if="(test.runs ?? 1) > 1">, {{ test.failures === undefined ? '' : `${test.failures} of ` }}{{ test.runs }} runs</template></span
        ><span>{{ test.parts.join(', ') }}</span
        ><span v-if="test.trusted === false" class="text-care">equipment not proven</span>
        <button v-if="mayForget" type="button" class="button button-quiet ml-auto" :aria-label="`Remove test ${i + 1}`" @click="emit('forget', i)">
          Remove
        </button>
      </li>
    </ol>

    <details v-if="mayWrite" :open="startsEmpty">
      <summary class="font-semibold">Parts that take part ({{ parts.length }})</summary>
      <form class="grid gap-3 pt-2" aria-label="Add a part to the board" @submit.prevent="addPart">
        <div class="grid gap-3 sm:grid-cols-3">
          <FieldFrame :id="`${id}n`" label="Part" hint="Such as Drive A, bench supply, its own lead" :message="nameTrouble"
            ><input :id="`${id}n`" v-model="fresh.name" class="entry" maxlength="80" autocomplete="off"
          /></FieldFrame>
          <SelectField v-model="fresh.kind" label="It is a" :options="kinds" />
          <FieldFrame :id="`${id}p`" label="Replaces" hint="Parts in the same position can be swapped for each other"
            ><input :id="`${id}p`" v-model="fresh.place" class="entry" maxlength="40" autocomplete="off"
          /></FieldFrame>
        </div>
        <div class="flex flex-wrap gap-x-5">
          <label class="flex min-h-11 items-center gap-2"><input v-model="fresh.knownGood" type="checkbox" class="h-5 w-5 accent-enamel" />Known good</label>
          <label class="flex min-h-11 items-center gap-2"
            ><input v-model="fresh.optional" type="checkbox" class="h-5 w-5 accent-enamel" />A test can do without it</label
          >
          <label class="flex min-h-11 items-center gap-2"
            ><input v-model="fresh.harms" type="checkbox" class="h-5 w-5 accent-enamel" />If it is faulty, it can damage others</label
          >
          <label class="flex min-h-11 items-center gap-2"><input v-model="fresh.precious" type="checkbox" class="h-5 w-5 accent-enamel" />Irreplaceable</label>
        </div>
        <p><button type="submit" class="button" :disabled="!fresh.name.trim() || !!nameTrouble || busy">Add part</button></p>
      </form>
      <ul class="pt-2">
        <li v-for="part in parts" :key="part.name" class="flex flex-wrap items-baseline gap-x-3">
          <span class="font-semibold">{{ part.name }}</span><span class="hint">{{
            [
              partKinds[part.kind].name.toLowerCase(),
              part.place,
              part.knownGood && 'known good',
              part.harms && 'harms others',
              part.precious && 'cannot be had again',
              part.optional && 'can be left out',
            ]
              .filter(Boolean)
              .join(', ')
          }}</span>
          <button
            v-if="!tests.some(t => t.parts.includes(part.name))"
            type="button"
            class="button button-quiet"
            :aria-label="`Remove ${part.name} from the board`"
            @click="
              emit(
                'parts',
                parts.filter(p => p !== part),
              )
            "
          >
            Remove
          </button>
        </li>
      </ul>
    </details>
  </div>
</template>
