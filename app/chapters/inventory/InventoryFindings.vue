<script setup lang="ts">
import { bytesWords } from '#core/identify/inventory/known-parts'
import type { InventoryJudged } from '#core/identify/inventory/judge-inventory'

/** What was counted of an inventory, type by type, with what is said of it. */
const props = defineProps<Pick<InventoryJudged, 'groups' | 'findings'>>()
const most = 12
const all = ref(false)
const shown = computed(() => (all.value ? props.groups : props.groups.slice(0, most)))
</script>

<template>
  <div class="grid gap-2">
    <FindingList :findings="findings" />
    <table v-if="groups.length" class="w-full text-left">
      <caption class="sr-only">
        Parts by type
      </caption>
      <thead>
        <tr class="hint">
          <th scope="col">Type</th>
          <th scope="col" class="text-right">How many</th>
          <th scope="col" class="px-3">What it is</th>
          <th scope="col" class="text-right">Holds</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="group in shown" :key="`${group.type} ${group.organisation}`" class="border-t border-line align-baseline">
          <th scope="row" class="figure min-w-16 py-1 pr-2 font-semibold [overflow-wrap:anywhere]">{{ group.type }}</th>
          <td class="figure text-right">{{ group.count }}</td>
          <td class="px-3" :class="group.kind === null && 'text-ink-2'">
            {{ group.says }}<span v-if="group.organisation" class="hint">, {{ group.organisation }}</span>
          </td>
          <td class="figure text-right whitespace-nowrap">{{ group.bytes === null ? '' : bytesWords(group.bytes) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="groups.length > most">
      <button type="button" class="button button-quiet" @click="all = !all">{{ all ? 'Fewer types' : `All ${groups.length} types` }}</button>
    </p>
  </div>
</template>
