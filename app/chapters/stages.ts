import type { Component } from 'vue'
import type { Stage } from '#core/kernel/stages'
import type { ChapterName } from '#shared/chapters/index'
import type { SheetHead } from '#shared/kernel/machine'

interface StageView {
  view: Component
  /** The chapters that it shows; they are fetched with the sheet. */
  shows: readonly ChapterName[]
}
const stage = (view: Component, ...shows: ChapterName[]): StageView => ({ view, shows })
const lazy = (load: () => Promise<{ default: Component }>) => defineAsyncComponent(load)

/** What each stage of the run shows, loaded when it is opened first. */
export const stageViews: Record<Stage, StageView> = {
  'arrive': stage(
    lazy(() => import('./arrive/ArriveStage.vue')),
    'arrive',
    'stewardship',
    'look',
  ),
  'look': stage(
    lazy(() => import('./look/LookStage.vue')),
    'arrive',
    'stewardship',
    'look',
    'inventory',
    'setup',
    'custody',
    'opening',
  ),
  'make-safe': stage(
    lazy(() => import('./power/MakeSafeStage.vue')),
    'look',
    'power',
    'starts',
  ),
  'clean': stage(
    lazy(() => import('./cleaning/CleanStage.vue')),
    'cleaning',
    'workshop',
  ),
  'mend': stage(
    lazy(() => import('./faults/MendStage.vue')),
    'faults',
    'continuity',
    'parts',
    'recap',
    'sought',
    'sharing',
  ),
  'prove': stage(
    lazy(() => import('./proving/ProveStage.vue')),
    'power',
    'proving',
  ),
  'home': stage(
    lazy(() => import('./home/HomeStage.vue')),
    'home',
    'proving',
  ),
}

/** Whether a sheet that was fetched holds what a stage shows. */
export const fetchedFor = (sheet: SheetHead, name: Stage) => stageViews[name].shows.every(chapter => sheet.shown.includes(chapter))
