<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { PhCaretDown, PhList, PhMoon, PhSignOut, PhSun, PhUser, PhUserGear } from '~/kernel/signs/icons'
import { useColorMode } from '@vueuse/core'
import { roleNames } from '#shared/kernel/roles'

/** Name, places, finder, who is signed in. */
defineEmits<{ shelf: [] }>()
const session = useSession()
const mode = useColorMode({ attribute: 'data-theme', storageKey: 'jolly-bench-theme' })
const route = useRoute()
const here = (to: string) => (to === '/' ? route.path === '/' : route.path.startsWith(to))

async function leave() {
  await session.signOut()
  await navigateTo('/sign-in')
}
</script>

<template>
  <header class="no-print sticky top-0 z-40 border-b border-line bg-card">
    <div class="flex min-h-12 flex-wrap items-center gap-x-1 px-1 wide:flex-nowrap wide:gap-x-4 wide:px-3">
      <button v-if="session.person" type="button" class="button button-quiet wide:hidden" @click="$emit('shelf')">
        <PhList aria-hidden="true" /><span class="max-[26.25rem]:sr-only">Bench</span>
      </button>
      <NuxtLink to="/" class="font-display text-lg font-bold text-ink no-underline">Jolly Bench</NuxtLink>
      <nav v-if="session.person" aria-label="Places" class="hidden wide:flex">
        <NuxtLink
          v-for="place in places"
          :key="place.to"
          :to="place.to"
          :aria-current="here(place.to) ? 'page' : undefined"
          class="flex min-h-12 items-center border-b-4 px-3 whitespace-nowrap text-ink no-underline"
          :class="here(place.to) ? 'border-enamel font-semibold' : 'border-transparent'"
          >{{ place.name }}</NuxtLink
        >
      </nav>
      <Menu v-if="session.person" as="div" class="relative ml-auto wide:hidden">
        <MenuButton class="button button-quiet">{{ places.find(p => here(p.to))?.name ?? 'Places' }}<PhCaretDown aria-hidden="true" /></MenuButton>
        <MenuItems class="absolute right-0 z-50 mt-1 w-52 border border-edge bg-card p-1 shadow-lg" aria-label="Places">
          <MenuItem v-for="place in places" :key="place.to" v-slot="{ active }"
            ><NuxtLink
              :to="place.to"
              class="flex min-h-11 items-center px-3 text-ink no-underline"
              :class="[active && 'bg-mat', here(place.to) && 'font-semibold']"
              >{{ place.name }}</NuxtLink
            ></MenuItem
          >
        </MenuItems>
      </Menu>
      <div class="flex items-center gap-2 wide:ml-auto">
        <OutboxMenu v-if="session.person" />
        <DraftsMenu v-if="session.person" />
        <LazyMachineFinder v-if="session.person" class="hidden wide:block" />
        <NuxtLink v-else-if="route.path !== '/sign-in'" to="/sign-in" class="button">Sign in</NuxtLink>
        <Menu v-if="session.person" as="div" class="relative">
          <MenuButton class="button button-quiet"
            ><PhUser aria-hidden="true" /><span class="max-w-40 truncate max-sm:sr-only">{{ session.person.name }}</span></MenuButton
          >
          <MenuItems class="absolute right-0 z-50 mt-1 w-64 border border-edge bg-card p-1 shadow-lg">
            <p class="hint px-3 py-2">{{ roleNames[session.person.role] }}</p>
            <MenuItem v-slot="{ active }"
              ><NuxtLink to="/settings" class="flex items-center gap-2 px-3 py-2 text-ink no-underline" :class="active && 'bg-mat'">
                <PhUserGear aria-hidden="true" />Your name and password
              </NuxtLink></MenuItem
            >
            <MenuItem v-slot="{ active }"
              ><button
                type="button"
                class="flex w-full items-center gap-2 px-3 py-2 text-left"
                :class="active && 'bg-mat'"
                @click="mode = mode === 'dark' ? 'light' : 'dark'"
              >
                <component :is="mode === 'dark' ? PhSun : PhMoon" aria-hidden="true" />{{ mode === 'dark' ? 'Light surface' : 'Dark surface' }}
              </button></MenuItem
            >
            <MenuItem v-slot="{ active }"
              ><button type="button" class="flex w-full items-center gap-2 px-3 py-2 text-left" :class="active && 'bg-mat'" @click="leave">
                <PhSignOut aria-hidden="true" />Sign out
              </button></MenuItem
            >
          </MenuItems>
        </Menu>
      </div>
    </div>
  </header>
</template>
