<script setup lang="ts">
import { ScanCodes } from '~/chapters/parts/index'

useHead({ title: 'Scan codes' })
</script>

<template>
  <div class="grid max-w-3xl gap-4">
    <h1>Scan</h1>
    <ScanCodes />
  </div>
</template>
