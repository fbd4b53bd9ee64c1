import type { Component } from 'vue'
import type { CommandName } from '#shared/chapters/index'

/** Something that the hand needs at the bench, opened over whatever machine is open. */
export interface BenchSheet {
  name: string
  title: string
  icon: Component
  may: CommandName
  view: Component
}

/** Which of the sheets at the bench is open, by its name, or `find`; one for the whole page. */
const open = ref<string>()
/** The sheets that there are, as the chapters declare them. */
const sheets = shallowRef<readonly BenchSheet[]>([])
export const useBenchSheets = () => ({ open, sheets })
