<script setup lang="ts">
import { useFormValues, useSetFormValues } from 'vee-validate'
import { neutralSets } from '#core/cleaning/patch-colour'

/** Colours from a picture that stays in this browser: the part and the reference against a neutral on the same photograph. */
const props = defineProps<{ into: string[] }>()
const values = useFormValues<Record<string, unknown>>()
const setValues = useSetFormValues<Record<string, unknown>>()
const patch = usePatchColour()
const words: Record<string, string> = {
  '': 'the part',
  'first': 'the part',
  'reference': 'the reference',
  'scale-white': 'its white',
  'scale-light': 'its light grey',
  'scale-mid': 'its middle grey',
}
const wordsOf = (target: string) => words[target] ?? 'the neutral'
const targets = computed(() => [...patch.kinds.value, ...props.into])
const drawn = (target: string) => patch.areas.value[target]
const boxes = computed(() =>
  targets.value.flatMap(target => {
    const box = drawn(target)
    return box ? [{ ...box, called: wordsOf(target), neutral: !props.into.includes(target) }] : []
  }),
)
async function measured(target: string) {
  const colour = await patch.measure(target)
  if (!colour) return
  const typed = { l: colour.l.toFixed(1), a: colour.a.toFixed(1), b: colour.b.toFixed(1), error: colour.error.toFixed(2) }
  setValues(target ? { ...values.value, [target]: typed } : { ...values.value, ...typed })
}
</script>

<template>
  <details class="border border-line p-2">
    <summary class="font-semibold">From a photograph</summary>
    <div class="grid gap-2 pt-2">
      <p class="hint">
        With a neutral right beside the part, in even daylight; steps of a grey scale are surer. It is measured here and sent nowhere. Drag a box over each.
      </p>
      <div class="flex flex-wrap items-center gap-2">
        <PictureInputs take="Take one now" choose="Choose a picture" @chosen="files => files[0] && patch.choose(files[0])" />
        <SelectField v-model="patch.set.value" label="The neutral" :options="titlesOf(neutralSets)" />
      </div>
      <p v-if="patch.trouble.value" role="alert" class="text-stop">{{ patch.trouble.value }}</p>
      <template v-if="patch.url.value">
        <div class="flex flex-wrap gap-2" role="radiogroup" aria-label="What the next box is">
          <button
            v-for="target in targets"
            :key="target"
            type="button"
            role="radio"
            class="choice"
            :aria-checked="patch.target.value === target"
            @click="patch.target.value = target"
          >
            {{ wordsOf(target) }}{{ drawn(target) ? ' ✓' : '' }}
          </button>
        </div>
        <PatchPicture :url="patch.url.value" :boxes="boxes" @box="box => patch.setBox(box)" />
        <p class="flex flex-wrap gap-2">
          <button
            v-for="target in into"
            :key="target"
            type="button"
            class="button"
            :disabled="!patch.enough.value || !drawn(target) || patch.busy.value"
            @click="measured(target)"
          >
            Measure {{ words[target] }}
          </button>
          <span v-if="patch.busy.value" role="status" class="hint">Measuring…</span>
        </p>
        <FindingList :findings="patch.findings.value" />
      </template>
    </div>
  </details>
</template>
