import { useEventListener } from '@vueuse/core'
import { type HandsFree, handsFreeBegun, handsFreeNext, spokenPin } from '#core/continuity/hands-free'
import type { ProbeCheck } from '#shared/chapters/continuity/index'

interface Meter {
  read: (what: 'ohms', probing: { checkId: number; beyond: boolean; lifted: boolean }) => Promise<string | undefined>
}
/** Between two looks at a meter that answers, and after one that did not. */
const pauseMs = { between: 150, afterTrouble: 1500 }
const pause = (ms: number) => new Promise(done => setTimeout(done, ms))

/** Says it aloud, where the browser has a voice; what it was saying is cut short. */
function speak(words: string) {
  if (!('speechSynthesis' in window)) return
  window.speechSynthesis.cancel()
  window.speechSynthesis.speak(Object.assign(new SpeechSynthesisUtterance(words), { lang: 'en-GB' }))
}

/**
 * Probing without a hand for the keyboard: the meter is asked again and again, what stands still is taken for the pair in hand, and the next pair is
 * read out. Page Down, which a foot switch can send, takes what the meter shows as it is; Page Up says the pair again.
 */
export function useHandsFree(meter: Meter, check: () => ProbeCheck, beyond: () => boolean, send: (figure: string) => void) {
  const on = ref(false)
  const state = ref<HandsFree>(handsFreeBegun)
  const probing = () => ({ checkId: check().id, beyond: beyond() })
  const pair = () => `${spokenPin(check().a.name)}, to ${spokenPin(check().b.name)}.`
  const told = computed(() => (!on.value ? '' : state.value.phase === 'lift' ? 'Lift the probes.' : 'Place the probes; a figure that stands still is taken.'))
  /** One question at a time: a press that falls between two looks waits for the one that is under way. */
  let asking: Promise<unknown> = Promise.resolve()
  const ask = (of: ReturnType<typeof probing>, lifted: boolean) => {
    const figure = asking.then(() => meter.read('ohms', { ...of, lifted }))
    asking = figure
    return figure
  }

  async function follow() {
    while (on.value) {
      const asked = probing()
      const figure = await ask(asked, state.value.phase === 'lift')
      if (!on.value) return
      // Somebody answered it by a key meanwhile.
      if (check().id === asked.checkId) {
        const next = handsFreeNext(state.value, figure)
        state.value = next.state
        if (next.taken !== undefined) send(next.taken)
      }
      await pause(figure === undefined ? pauseMs.afterTrouble : pauseMs.between)
    }
  }
  let taking = false
  /** A second press while the first is asked for is none; and what was read of one pair is never said of the next. */
  async function asItIs() {
    if (taking) return
    taking = true
    try {
      const asked = probing()
      const figure = await ask(asked, false)
      if (figure === undefined || check().id !== asked.checkId) return
      state.value = handsFreeBegun
      send(figure)
    } finally {
      taking = false
    }
  }
  watch(on, now => {
    state.value = handsFreeBegun
    if (now) {
      speak(pair())
      void follow()
    } else if ('speechSynthesis' in window) window.speechSynthesis.cancel()
  })
  watch(
    () => check().id,
    () => {
      state.value = handsFreeBegun
      if (on.value) speak(pair())
    },
  )
  useEventListener('keydown', event => {
    if (!on.value || !['PageDown', 'PageUp'].includes(event.key)) return
    event.preventDefault()
    if (event.key === 'PageUp') speak(pair())
    else void asItIs()
  })
  onBeforeUnmount(() => (on.value = false))
  return { on, told, asItIs, speak }
}
