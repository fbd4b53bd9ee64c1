<script setup lang="ts">
import { type Skill, whoCould } from '#core/kernel/skills'

/** Who here could take a step that takes a skill; nothing where anybody can. */
defineProps<{ skill?: Skill }>()
const session = useSession()
</script>

<template>
  <span v-if="skill && session.person">{{ whoCould(skill, session.crew) }}</span>
</template>
