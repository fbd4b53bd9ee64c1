<script setup lang="ts">
import type { ThingView } from '#shared/chapters/workshop/index'

/** Books a place from the workshop: first for which machine on the bench, then as on its sheet. */
defineProps<{ things: ThingView[] }>()
defineEmits<{ done: [] }>()
const onBench = useMachineList({ bench: 'on', sort: 'name', size: 60 })
const tag = ref('')
const choices = computed(() => [
  { value: '', label: 'Choose a machine' },
  ...(onBench.list.value?.rows ?? []).map(m => ({ value: m.tag, label: [m.tag, m.nickname || m.name].join(' ') })),
])
</script>

<template>
  <div class="grid gap-3">
    <SelectField v-model="tag" label="For which machine" :options="choices" :hint="onBench.trouble.value || 'Those on the bench'" />
    <BookForMachine v-if="tag" :key="tag" :tag="tag" :things="things" @done="$emit('done')" />
  </div>
</template>
