<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import { refDebounced } from '@vueuse/core'
import type { MachineSummary } from '#shared/kernel/machine'

/** Finds a machine by anything said of it, from everywhere, with `/`. */
const props = defineProps<{ wide?: boolean; picks?: boolean }>()
const emit = defineEmits<{ picked: [tag: string]; opened: [] }>()
const typed = ref('')
const asked = refDebounced(typed, 150)
const field = useTemplateRef<{ el: HTMLInputElement }>('field')
const most = 8
const { list, trouble } = useMachineList(
  () => ({ find: asked.value.trim(), size: most }),
  () => asked.value.trim() !== '',
)
/** Answers are shown for what stands in the field; one that comes late belongs to another question. */
const found = computed(() => (asked.value.trim() ? (list.value?.rows ?? []) : []))

if (!props.wide) useShortcuts([{ key: '/', says: 'Find a machine, or something to do with the open one', act: () => field.value?.el.focus() }])
onMounted(() => props.wide && field.value?.el.focus())

/** Leaving the field closes its list. */
function left(event: FocusEvent) {
  if (!(event.currentTarget as HTMLElement).contains(event.relatedTarget as Node | null)) typed.value = ''
}

function open(machine: MachineSummary | null) {
  if (!machine) return
  typed.value = ''
  if (props.picks) return emit('picked', machine.tag)
  // The keys of the sheet should work at once.
  void nextTick(() => field.value?.el.blur())
  void navigateTo(`/m/${machine.tag}`)
  emit('opened')
}
</script>

<template>
  <!-- Tab goes on to the next control, and opens nothing: the list never hears of it. -->
  <Combobox :model-value="null" as="div" class="relative" @update:model-value="open" @keydown.tab.capture.stop @focusout="left">
    <ComboboxInput
      ref="field"
      :class="['entry', !wide && 'w-56!']"
      aria-label="Find a machine"
      placeholder="Find a machine  /"
      :display-value="() => typed"
      @change="typed = ($event.target as HTMLInputElement).value"
    />
    <ComboboxOptions
      v-if="typed.trim()"
      class="z-50 mt-1 border border-edge bg-card"
      :class="wide ? 'max-h-[50dvh] overflow-y-auto' : 'absolute right-0 w-96 max-w-[90vw] shadow-lg'"
    >
      <p v-if="trouble" class="px-3 py-2 text-stop">{{ trouble }}</p>
      <p v-else-if="!found.length" class="hint px-3 py-2">Nothing found yet. Names, claims, notes and faults are searched.</p>
      <ComboboxOption v-for="machine in found" :key="machine.tag" v-slot="{ active }" :value="machine" as="template">
        <li class="flex items-center gap-2 px-3 py-1.5" :class="active && 'bg-mat'">
          <TagTape :tag="machine.tag" small /><span class="truncate">{{ machine.nickname || machine.name }}</span
          ><span class="hint ml-auto whitespace-nowrap">{{ machine.name }}</span>
        </li>
      </ComboboxOption>
    </ComboboxOptions>
  </Combobox>
</template>
