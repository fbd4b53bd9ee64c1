<script setup lang="ts">
import { PhPushPin } from '~/kernel/signs/icons'

/** Pins what the instrument shows now to a machine's history. */
defineProps<{ tool: string; input?: Record<string, unknown> }>()
const { list } = useMachineList({ bench: 'on', sort: 'harm', size: 100 })
const { list: others } = useMachineList({ bench: 'off', size: 100 })
const offered = computed(() => [...(list.value?.rows ?? []), ...(others.value?.rows ?? [])].sort((a, b) => b.tag.localeCompare(a.tag)))
const tag = ref('')
const pinned = ref('')
</script>

<template>
  <OneCard title="Pin the result" hint="What the instrument shows now goes into the history of a machine.">
    <p v-if="!input" class="hint">Nothing to pin yet: give the instrument something to work on.</p>
    <template v-else>
      <div class="grid max-w-sm gap-1">
        <label for="pin-to" class="font-semibold">To which machine</label
        ><select id="pin-to" v-model="tag" class="entry">
          <option value="" disabled>Choose a machine</option>
          <option v-for="machine in offered" :key="machine.tag" :value="machine.tag">{{ machine.tag }} {{ machine.nickname || machine.name }}</option>
        </select>
      </div>
      <CommandForm
        v-if="tag"
        command="pin-result"
        :machine="tag"
        :initial="{}"
        :fixed="{ tool, input }"
        label="Pin the result"
        submit="Pin it"
        keeps
        @done="pinned = tag"
      >
        <template #beside
          ><span v-if="pinned" class="inline-flex items-center gap-1"
            ><PhPushPin aria-hidden="true" />Pinned to <NuxtLink :to="`/m/${pinned}`">{{ pinned }}</NuxtLink></span
          ></template
        >
      </CommandForm>
    </template>
  </OneCard>
</template>
