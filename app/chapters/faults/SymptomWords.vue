<script setup lang="ts">
import { useField } from 'vee-validate'
import { symptomGroups } from '#core/diagnosis/symptoms'

/** Shared words for a symptom, so that it is found again on sisters; pressed on and off. */
const { value } = useField<string[] | undefined>('symptoms')
const chosen = computed(() => value.value ?? [])
const toggle = (word: string) => (value.value = chosen.value.includes(word) ? chosen.value.filter(w => w !== word) : [...chosen.value, word])
</script>

<template>
  <details class="border border-line px-3 py-1.5" :open="chosen.length > 0">
    <summary class="font-semibold">Words it is found again by{{ chosen.length ? ` (${chosen.length})` : '' }}</summary>
    <div class="grid gap-1.5 pt-1.5 sm:grid-cols-2">
      <div v-for="group in symptomGroups" :key="group.name" class="flex flex-wrap items-baseline gap-1" role="group" :aria-label="group.name">
        <span class="hint w-24">{{ group.name }}</span>
        <button
          v-for="(name, word) in group.words"
          :key="word"
          type="button"
          class="button min-h-8! px-2! py-0! text-sm max-wide:min-h-11!"
          :class="chosen.includes(String(word)) && 'button-main'"
          :aria-pressed="chosen.includes(String(word))"
          @click="toggle(String(word))"
        >
          {{ name }}
        </button>
      </div>
    </div>
  </details>
</template>
