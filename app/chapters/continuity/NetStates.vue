<script setup lang="ts">
import { netStateNames } from '#core/continuity/net-state'
import type { ProbeSheet } from '#shared/chapters/continuity/index'

/** Every net of a sheet with what it is by now, the broken ones first, each with its wires. */
const props = defineProps<{ tag: string; sheet: ProbeSheet }>()
const order = { 'broken': 0, 'doubtful': 1, 'not-yet': 2, 'whole': 3 } as const
const inks = { 'broken': 'text-stop', 'doubtful': 'text-care', 'not-yet': 'text-ink-2', 'whole': 'text-fine' } as const
const pressing = computed(() => props.sheet.nets.filter(n => n.state === 'broken' || n.state === 'doubtful').sort((a, b) => order[a.state] - order[b.state]))
const others = computed(() => props.sheet.nets.filter(n => n.state === 'whole' || n.state === 'not-yet'))
const count = (state: keyof typeof order) => props.sheet.nets.filter(n => n.state === state).length
/** Checks of a net that nobody has answered yet. */
const openOf = (net: string) => props.sheet.checks.filter(c => c.contact === null && c.netA === net && c.netB === net).length
/** What hangs on it, by the notes of the board. */
const doesOf = (net: string) => props.sheet.explains.find(e => e.net === net)?.does
const names = (piece: { name: string }[]) => piece.map(e => e.name).join(' ')
</script>

<template>
  <OneCard title="Nets" :hint="`${count('whole')} whole, ${count('broken')} broken, ${count('doubtful')} in doubt, ${count('not-yet')} not yet proved.`">
    <ul v-if="sheet.shorts.length" class="text-stop">
      <li v-for="short in sheet.shorts" :key="short.nets.join()">
        <span class="figure font-semibold">{{ short.nets.join(' – ') }}</span> joined, and should not be{{ short.supply ? '; one of them is a supply' : '' }}.
      </li>
    </ul>
    <ul v-if="pressing.length" class="grid divide-y divide-line border-y border-line">
      <li v-for="net in pressing" :key="net.net" class="grid gap-1 py-2">
        <p class="flex flex-wrap items-baseline gap-x-3">
          <span class="figure font-semibold">{{ net.net }}</span><span :class="inks[net.state]">{{ netStateNames[net.state] }}</span>
          <span v-if="doesOf(net.net)">{{ doesOf(net.net) }}</span>
          <span v-if="net.breaks[0]" class="hint">between {{ net.breaks[0].a }} and {{ net.breaks[0].b }}</span>
        </p>
        <p class="figure text-sm">{{ net.pieces.map(names).join('  |  ') }}</p>
        <PatchPanel v-if="net.state === 'broken'" :tag="tag" :sheet-id="sheet.id" :net="net" :areas="sheet.areas" :asked-yet="openOf(net.net)" />
      </li>
    </ul>
    <details v-if="others.length">
      <summary class="font-semibold">Whole or not yet proved ({{ others.length }})</summary>
      <ul class="columns-2 pt-1 text-sm sm:columns-3">
        <li v-for="net in others" :key="net.net">
          <span class="figure">{{ net.net }}</span> <span :class="inks[net.state]">{{ netStateNames[net.state].toLowerCase() }}</span>
        </li>
      </ul>
    </details>
  </OneCard>
</template>
