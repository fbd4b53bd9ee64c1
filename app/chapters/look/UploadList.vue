<script setup lang="ts">
import { PhArrowClockwise, PhX } from '~/kernel/signs/icons'
import type { Upload } from '~/chapters/look/composables/useUploads'

/** Photographs on their way: each with its progress, each left or tried again alone. */
const props = defineProps<{ uploads: Upload[]; leave: (upload: Upload) => void; again: (upload: Upload) => void; clear: () => void }>()
const words: Record<Upload['state'], string> = {
  waiting: 'Waiting',
  sending: 'Sending',
  working: 'Resized and saved',
  kept: 'Saved',
  later: 'Later',
  refused: 'Refused',
  left: 'Left',
}
const running = computed(() => props.uploads.some(u => ['waiting', 'sending', 'working'].includes(u.state)))
</script>

<template>
  <section v-if="uploads.length" aria-label="Uploading" class="grid gap-1 border border-line bg-mat p-2">
    <ul class="grid gap-1">
      <li v-for="upload in uploads" :key="upload.key" class="flex flex-wrap items-center gap-x-3">
        <span class="min-w-0 flex-1 truncate">{{ upload.name }}</span>
        <progress
          v-if="['sending', 'working'].includes(upload.state)"
          class="h-2 w-28 accent-enamel"
          :value="upload.state === 'sending' ? upload.share : undefined"
          max="1"
          :aria-label="`Progress of ${upload.name}`"
        />
        <span class="text-sm" :class="upload.state === 'refused' ? 'text-stop' : 'text-ink-2'" :role="upload.state === 'refused' ? 'alert' : undefined"
          >{{ words[upload.state] }}<template v-if="upload.message">: {{ upload.message }}</template></span
        >
        <button v-if="['waiting', 'sending'].includes(upload.state)" type="button" class="button button-quiet" @click="leave(upload)">
          <PhX aria-hidden="true" />Leave it<span class="sr-only"> {{ upload.name }}</span>
        </button>
        <button v-if="['refused', 'left'].includes(upload.state)" type="button" class="button button-quiet" @click="again(upload)">
          <PhArrowClockwise aria-hidden="true" />Try again<span class="sr-only"> {{ upload.name }}</span>
        </button>
      </li>
    </ul>
    <p v-if="!running"><button type="button" class="text-sm underline" @click="clear">Clear the list</button></p>
  </section>
</template>
