<script setup lang="ts">
import { contactNames } from '#core/continuity/contact'
import type { ProbeSheet } from '#shared/chapters/continuity/index'

/** All checks of a sheet, to be looked through, or printed and typed in later. */
const props = defineProps<{ sheet: ProbeSheet; /** Those alone that nobody has answered yet. */ left?: boolean }>()
const times = useTimes()
/** Each under the number that it has on the whole sheet: by it a printed sheet is typed in. */
const rows = computed(() => props.sheet.checks.map((check, i) => ({ check, number: i + 1 })).filter(({ check }) => !props.left || !check.contact))
const expected = (c: ProbeSheet['checks'][number]) => (c.kind === 'short' ? 'open' : c.kind === 'bridge' ? `${three(c.expectOhm ?? 0)} Ω` : 'joined')
</script>

<template>
  <table class="w-full text-left text-sm">
    <thead>
      <tr class="hint">
        <th class="py-1 pr-3 font-normal">No.</th>
        <th class="py-1 pr-3 font-normal">From</th>
        <th class="py-1 pr-3 font-normal">To</th>
        <th class="py-1 pr-3 font-normal">Net</th>
        <th class="py-1 pr-3 font-normal">Expected</th>
        <th class="py-1 font-normal">Found</th>
      </tr>
    </thead>
    <tbody class="divide-y divide-line">
      <tr v-for="{ check, number } in rows" :key="check.id">
        <td class="figure py-1 pr-3">{{ number }}</td>
        <td class="figure py-1 pr-3 font-semibold">{{ check.a.name }}</td>
        <td class="figure py-1 pr-3 font-semibold">{{ check.b.name }}</td>
        <td class="figure py-1 pr-3">{{ check.netA === check.netB ? check.netA : `${check.netA}, ${check.netB}` }}</td>
        <td class="py-1 pr-3">{{ expected(check) }}</td>
        <td class="py-1">
          <template v-if="check.contact"
            >{{ contactNames[check.contact].toLowerCase() }}{{ check.ohm === null ? '' : `, ${three(check.ohm)} Ω` }}
            <span class="hint">{{ check.by }}, {{ times.clock(check.at) }}</span></template
          ><span v-else class="hint">{{ check.takenBy && `${check.takenBy} is at it` }}</span>
        </td>
      </tr>
    </tbody>
  </table>
</template>
