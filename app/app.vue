<script setup lang="ts">
import { useColorMode } from '@vueuse/core'

useColorMode({ attribute: 'data-theme', storageKey: 'jolly-bench-theme' })
useHead({ titleTemplate: title => (title && title !== 'Jolly Bench' ? `${title} · Jolly Bench` : 'Jolly Bench') })
</script>

<template>
  <NuxtRouteAnnouncer />
  <NuxtLoadingIndicator color="var(--enamel)" />
  <NuxtLayout>
    <NuxtPage />
  </NuxtLayout>
</template>
