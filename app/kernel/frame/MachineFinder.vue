<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import { PhArrowRight } from '~/kernel/signs/icons'
import { refDebounced } from '@vueuse/core'
import type { MachineSummary } from '#shared/kernel/machine'

/** Finds a machine by anything said of it, from everywhere, with `/`; and knows what can be done with the open one, and the places. */
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

type Item = { machine: MachineSummary } | { action: PaletteAction }
const actions = usePalette()
/** A machine that is called what was typed comes before what can be done; others that it was said of come after. */
const offered = computed((): Item[] => {
  const begins = typed.value.trim().toLowerCase()
  const called = (m: MachineSummary) => [m.nickname, m.name, m.tag].some(words => words.toLowerCase().startsWith(begins))
  const machine = (m: MachineSummary) => ({ machine: m })
  const [first, others] = [found.value.filter(called), found.value.filter(m => !called(m))]
  return [...first.map(machine), ...(props.picks ? [] : actions(typed.value)).map(action => ({ action })), ...others.map(machine)]
})

function open(item: Item | null) {
  if (!item) return
  typed.value = ''
  if ('action' in item) {
    // The keys of the page should work at once.
    void nextTick(() => field.value?.el.blur())
    emit('opened')
    return item.action.act()
  }
  if (props.picks) return emit('picked', item.machine.tag)
  void nextTick(() => field.value?.el.blur())
  void navigateTo(`/m/${item.machine.tag}`)
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
      :placeholder="picks || wide ? 'Name, tag, claim or fault' : 'Find a machine  /'"
      :display-value="() => typed"
      @change="typed = ($event.target as HTMLInputElement).value"
    />
    <ComboboxOptions
      v-if="typed.trim()"
      class="z-50 mt-1 border border-edge bg-card"
      :class="wide ? 'max-h-[50dvh] overflow-y-auto' : 'absolute right-0 w-96 max-w-[90vw] shadow-lg'"
    >
      <p v-if="trouble" class="px-3 py-2 text-stop">{{ trouble }}</p>
      <p v-else-if="!offered.length" class="hint px-3 py-2">Nothing found yet. Names, claims, notes and faults are searched.</p>
      <ComboboxOption
        v-for="item in offered"
        :key="'action' in item ? `${item.action.of}/${item.action.says}` : item.machine.tag"
        v-slot="{ active }"
        :value="item"
        as="template"
      >
        <li class="flex items-center gap-2 px-3 py-1.5 max-wide:min-h-11" :class="active && 'bg-mat'">
          <template v-if="'action' in item"
            ><PhArrowRight aria-hidden="true" class="text-enamel" /><span>{{ item.action.says }}</span
            ><span class="hint ml-auto whitespace-nowrap">{{ item.action.of }}</span></template
          ><template v-else
            ><MachineFace v-if="item.machine.portrait" :hash="item.machine.portrait" class="h-6 w-8 shrink-0" /><TagTape :tag="item.machine.tag" small /><span
              class="truncate"
              >{{ item.machine.nickname || item.machine.name }}</span
            ><span class="hint ml-auto whitespace-nowrap">{{ item.machine.name }}</span></template
          >
        </li>
      </ComboboxOption>
    </ComboboxOptions>
  </Combobox>
</template>
