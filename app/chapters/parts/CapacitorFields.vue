<script setup lang="ts">
import type { SpecField } from '#core/parts/substitute/compare'
import { partKinds } from '#core/parts/substitute/substitute'
import SpecFormInputs from './SpecFormInputs.vue'

/** What a capacitor is like, in a form; what is left empty is not known. */
const fields = Object.entries<SpecField>(partKinds.capacitor.fields)
</script>

<template>
  <SpecFormInputs :fields="fields" of="capacitor" />
</template>
