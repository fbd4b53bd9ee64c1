<script setup lang="ts">
import { fixings } from '#core/parts/recap/read-list'
import { specWords } from '#core/parts/substitute/words'
import type { SheetOf } from '#shared/chapters/index'

/** The list of capacitors on paper, to be ticked at the bench: out, bagged, in, joints looked at. */
const tag = String(useRoute().params.tag)
useHead({ title: `Capacitors of ${tag}` })
const { sheet, trouble } = useSheet(tag, ['recap'])
const own = computed(() => sheet.value as SheetOf<'recap'> | undefined)
const left = computed(() => own.value?.recap.capacitors.filter(one => one.state !== 'fitted' && (one.state === 'out' || one.due !== 'stays')) ?? [])
const print = () => window.print()
</script>

<template>
  <p v-if="trouble" role="alert" class="card">{{ trouble }}</p>
  <p v-else-if="!own" role="status" class="hint">Fetching…</p>
  <div v-else class="grid max-w-5xl gap-3">
    <header class="flex flex-wrap items-baseline gap-x-4">
      <h1>Capacitors of {{ own.identity.nickname || own.identity.name }}</h1>
      <TagTape :tag="own.tag" />
      <button type="button" class="button no-print ml-auto" @click="print">Print</button>
    </header>
    <EmptyPlace v-if="!left.length" says="Nothing is left to change on its list." />
    <div v-else class="overflow-x-auto" tabindex="0" role="region" aria-label="The list">
      <table class="w-full text-left text-[0.9375rem]">
        <thead>
          <tr class="border-b border-line">
            <th>Place</th>
            <th>What it is</th>
            <th>Fixed</th>
            <th>Plus lies</th>
            <th class="px-2">Out</th>
            <th class="px-2">Bagged</th>
            <th class="px-2">In, plus asked</th>
            <th class="px-2">Joints</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in left" :key="one.id" class="border-b border-line">
            <td class="figure py-1.5 pr-2 font-semibold">{{ one.assembly }} {{ one.place }}</td>
            <td class="pr-2">{{ specWords('capacitor', one.spec) }}</td>
            <td class="pr-2">{{ one.fixing === 'none' ? '' : fixings[one.fixing] }}</td>
            <td class="w-44 pr-2">{{ one.plus }}</td>
            <td class="px-2">{{ one.state === 'out' ? '✓' : '☐' }}</td>
            <td class="px-2">{{ one.bagged ? '✓' : '☐' }}</td>
            <td class="px-2">☐</td>
            <td class="px-2">☐</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="hint">Write down where each plus lies before it is out. Empty big capacitors through a resistor, and measure them again.</p>
  </div>
</template>
