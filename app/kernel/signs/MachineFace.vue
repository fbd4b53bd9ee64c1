<script setup lang="ts">
import { photographUrl } from '#shared/kernel/photograph-sizes'

/** The picture that a machine is known by. It says nothing that its name beside it does not say, so it is heard by nobody. */
defineProps<{ hash: string; size?: 'thumb' | 'working' }>()
</script>

<template>
  <img :src="photographUrl(hash, size ?? 'thumb')" alt="" loading="lazy" decoding="async" class="border border-line bg-mat object-cover" />
</template>
