<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { PhNotePencil } from '~/kernel/signs/icons'

/** What the one who is signed in has typed and not sent: how many, where, and how to throw it away. */
const drafts = useDrafts()
const times = useTimes()
const place = (path: string) => /^\/m\/([^/?]+)/.exec(path)?.[1] ?? ''
</script>

<template>
  <Popover v-if="drafts.mine.length" class="relative">
    <PopoverButton class="button button-quiet"
      ><PhNotePencil aria-hidden="true" />{{ drafts.mine.length }} <span class="max-sm:sr-only">not sent</span></PopoverButton
    >
    <PopoverPanel v-slot="{ close }" class="absolute right-0 z-50 mt-1 grid w-80 max-w-[90vw] gap-2 border border-edge bg-card p-3 shadow-lg">
      <p class="hint">Typed on this browser and not sent yet. Nobody else sees it.</p>
      <ul class="grid divide-y divide-line border-y border-line">
        <li v-for="draft in drafts.mine" :key="draft.key" class="grid grid-cols-[1fr_auto] items-baseline gap-x-3 py-1.5">
          <NuxtLink :to="draft.path" class="font-semibold" @click="close()">{{ draft.label }}</NuxtLink>
          <button type="button" class="text-sm underline" @click="drafts.throwAway(draft.key)">
            Discard<span class="sr-only"> {{ draft.label }}</span>
          </button>
          <span class="hint flex flex-wrap items-center gap-x-2"
            ><TagTape v-if="place(draft.path)" :tag="place(draft.path)" small />{{ times.moment(draft.at) }}</span
          >
        </li>
      </ul>
    </PopoverPanel>
  </Popover>
</template>
