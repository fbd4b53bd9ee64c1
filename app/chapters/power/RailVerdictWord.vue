<script setup lang="ts">
import type { Level } from '#core/kernel/finding'
import type { RailVerdict } from '#core/power/rails'

defineProps<{ verdict: RailVerdict }>()
const levels: Record<RailVerdict, Level> = { good: 'fine', reread: 'care', out: 'stop', unread: 'note' }
</script>

<template><LevelSign :level="levels[verdict]" /></template>
