import type { WorkshopView } from '#shared/chapters/workshop/index'

/** What machines share, fetched again whenever anything changes. */
export function useWorkshop() {
  const { found, trouble } = useCollection<WorkshopView>(['workshop'], '/api/workshop')
  const things = computed(() => found.value?.things.filter(t => t.active) ?? [])
  const materials = computed(() => found.value?.materials.filter(m => m.active) ?? [])
  return { workshop: found, things, materials, trouble }
}
