<script setup lang="ts">
import { PhX } from '~/kernel/signs/icons'

/** Photographs that were taken or chosen and wait for what they belong to; shown small, each to be left out again. */
const files = defineModel<File[]>({ required: true })
const shown = computed(() => files.value.map(file => ({ file, url: URL.createObjectURL(file) })))
watch(shown, (_, before) => before?.forEach(({ url }) => URL.revokeObjectURL(url)))
onUnmounted(() => shown.value.forEach(({ url }) => URL.revokeObjectURL(url)))
</script>

<template>
  <div class="grid gap-2">
    <PictureInputs take="Take one now" choose="Choose photographs" @chosen="files = [...files, ...$event]" />
    <ul v-if="shown.length" class="flex flex-wrap gap-2">
      <li v-for="({ file, url }, i) in shown" :key="url" class="grid w-32 gap-1">
        <img :src="url" alt="" class="aspect-4/3 w-full border border-line object-cover" />
        <span class="flex items-center gap-1 text-sm"
          ><span class="truncate">{{ file.name }}</span
          ><button type="button" class="ml-auto grid h-8 w-8 place-items-center max-wide:h-11 max-wide:w-11" @click="files = files.filter((_, n) => n !== i)">
            <PhX aria-hidden="true" /><span class="sr-only">Leave {{ file.name }} out</span>
          </button></span
        >
      </li>
    </ul>
    <p v-if="shown.length" class="hint">They are only in this page until you book in: do not close it before then.</p>
  </div>
</template>
