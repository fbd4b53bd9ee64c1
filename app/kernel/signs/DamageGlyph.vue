<script setup lang="ts">
import { type DamageKind, damageKinds } from '#core/condition/damage'
import { damageGlyphs } from './damageGlyphs'

/** The sign of one kind of damage. */
defineProps<{ kind: DamageKind }>()
</script>

<template>
  <svg viewBox="0 0 16 16" class="h-4 w-4 shrink-0" role="img" :aria-label="damageKinds[kind]">
    <path :d="damageGlyphs[kind]" fill="none" stroke="currentColor" stroke-width="1.5" stroke-linecap="round" stroke-linejoin="round" />
  </svg>
</template>
