<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import type { Shortcut } from '~/kernel/format/useShortcuts'

/** The keys that work here, shown with `?`. */
defineProps<{ shortcuts: Shortcut[] }>()
const open = defineModel<boolean>('open', { required: true })
</script>

<template>
  <Dialog :open="open" class="relative z-50" @close="open = false">
    <div class="fixed inset-0 bg-ink/30 dark:bg-black/60" aria-hidden="true" />
    <div class="fixed inset-0 grid place-items-center p-4">
      <DialogPanel class="card grid w-full max-w-md gap-3">
        <DialogTitle as="h2">Keys that work here</DialogTitle>
        <dl class="grid grid-cols-[3rem_1fr] gap-y-1">
          <template v-for="shortcut in shortcuts" :key="shortcut.key + shortcut.says"
            ><dt class="figure font-semibold">{{ shortcut.key }}</dt>
            <dd>{{ shortcut.says }}</dd></template
          >
          <dt class="figure font-semibold">Esc</dt>
          <dd>Leave the field, so that these keys work; close what is open</dd>
        </dl>
        <p class="hint">None of them works while you type.</p>
        <div><button type="button" class="button" @click="open = false">Close</button></div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
