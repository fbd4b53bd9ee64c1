<script setup lang="ts">
import type { Level } from '#core/kernel/finding'

/** An instrument's face: the figure large, its limits drawn on a scale with the needle on it, the judgement beside it. */
const props = defineProps<{
  label: string
  figure: string
  /** What the figure is judged to be, in a word or two. */
  judgement: string
  level: Level
  /** Bands from low to high, each up to a value; without a value the needle is away. */
  scale?: { from: number; bands: { to: number; level: Level; says: string }[]; value?: number | null; log?: boolean }
}>()
const inks: Record<Level, string> = { stop: 'text-stop', care: 'text-care', fine: 'text-fine', note: 'text-note' }
const washes: Record<Level, string> = { stop: 'bg-stop/35', care: 'bg-care/30', fine: 'bg-verdigris/45', note: 'bg-note/25' }
/** Where a value stands, in per cent of the width; what is beyond an end stands at it. */
const place = computed(() => {
  const { scale } = props
  if (!scale) return () => 0
  const along = (v: number) => (scale.log ? Math.log10(Math.max(v, scale.from)) : v)
  const [low, high] = [along(scale.from), along(scale.bands.at(-1)!.to)]
  return (v: number) => Math.min(100, Math.max(0, ((along(v) - low) / (high - low)) * 100))
})
const drawn = computed(() => {
  let from = props.scale?.from ?? 0
  return (props.scale?.bands ?? []).map(band => {
    const [left, right] = [place.value(from), place.value(band.to)]
    from = band.to
    return { ...band, left, width: right - left }
  })
})
</script>

<template>
  <div class="grid gap-1.5 border border-edge bg-mat px-3 py-2" role="group" :aria-label="label">
    <div class="flex flex-wrap items-end justify-between gap-x-4">
      <div aria-live="polite">
        <p class="hint">{{ label }}</p>
        <p class="figure text-4xl leading-none font-semibold">{{ figure }}</p>
      </div>
      <p class="flex items-center gap-2 text-right font-display text-xl font-semibold" :class="inks[level]">
        <slot>{{ judgement }}</slot>
      </p>
    </div>
    <div v-if="scale" class="relative pt-2">
      <div class="flex h-3">
        <span
          v-for="band in drawn"
          :key="band.to"
          class="border-r border-card last:border-0"
          :class="washes[band.level]"
          :style="{ width: `${band.width}%` }"
        />
      </div>
      <span
        v-if="scale.value !== undefined && scale.value !== null"
        class="absolute top-0 h-7 w-1 -translate-x-1/2 bg-ink"
        :style="{ left: `clamp(2px, ${place(scale.value)}%, calc(100% - 2px))` }"
        aria-hidden="true"
      />
      <div class="relative mt-1 flex text-sm text-ink-2">
        <span v-for="band in drawn" :key="band.to" class="truncate pr-1 leading-tight" :title="band.says" :style="{ width: `${band.width}%` }">{{
          band.says
        }}</span>
      </div>
    </div>
  </div>
</template>
