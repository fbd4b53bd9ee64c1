import type { InjectionKey, Ref } from 'vue'
import type { GateVerdict } from '#core/safety/gate-words'

/** How a card of a stage stands: something is left to do, it is done, or nothing of it applies. */
export type CardState = 'open' | 'done' | 'none'
export const cardStateWords: Record<CardState, string> = { open: 'to do', done: 'done', none: 'nothing to do' }

/** A card of the open stage, as its index shows it. */
export interface StagePart {
  title: string
  state: CardState
  result: string
  /** Unfolded when the stage was opened, with something left to do. */
  tall: boolean
  show: () => void
  card: HTMLElement | null
}
/** The cards of the open stage. */
export const stagePartsKey: InjectionKey<StagePart[]> = Symbol('the cards of the open stage')

/** The verdict in force of the open machine, which stays in sight while its stage is read. */
export const gateKey: InjectionKey<Readonly<Ref<{ inForce: GateVerdict; overruled: boolean } | undefined>>> = Symbol('the gate of the open machine')

/** The cautions that stand on the open stage, in the order in which they came, each with who says it. */
export const cautionsKey: InjectionKey<{ about: string; by: string }[]> = Symbol('the cautions of the open stage')
