import { useEventListener } from '@vueuse/core'
import { type HandsFree, type HandsFreeManner, handsFreeBegun, handsFreeNext } from '#core/kernel/hands-free'

/** What is measured one place after the other, without a hand for the keyboard. */
export interface Places {
  manner: HandsFreeManner
  /** What is in hand: another one is another place. */
  inHand: () => string | number | undefined
  /** How it is read out. */
  spoken: () => string
  /** What the meter shows of it, or of probes that are to be lifted. */
  read: (lifted: boolean) => Promise<string | undefined>
  take: (figure: string) => void
  words: { lift: string; place: string }
}
/** Between two looks at a meter that answers, and after one that did not. */
const pauseMs = { between: 150, afterTrouble: 1500 }
const pause = (ms: number) => new Promise(done => setTimeout(done, ms))

/** Says it aloud, where the browser has a voice; what it was saying is cut short. */
export function speak(words: string) {
  if (!('speechSynthesis' in window)) return
  window.speechSynthesis.cancel()
  window.speechSynthesis.speak(Object.assign(new SpeechSynthesisUtterance(words), { lang: 'en-GB' }))
}

/**
 * Measuring without a hand for the keyboard: the meter is asked again and again, what stands still is taken for what is in hand, and the next is read
 * out. Page Down, which a foot switch can send, takes what the meter shows as it is; Page Up says what is in hand again.
 */
export function useHandsFree({ manner, inHand, spoken, read, take, words }: Places) {
  const on = ref(false)
  const state = ref<HandsFree>(handsFreeBegun)
  const told = computed(() => (!on.value ? '' : state.value.phase === 'lift' ? words.lift : words.place))
  /** One question at a time: a press that falls between two looks waits for the one that is under way. */
  let asking: Promise<unknown> = Promise.resolve()
  const ask = (lifted: boolean) => {
    const figure = asking.then(() => read(lifted))
    asking = figure
    return figure
  }

  async function follow() {
    while (on.value) {
      const asked = inHand()
      const figure = await ask(state.value.phase === 'lift')
      if (!on.value) return
      // Somebody answered it by a key meanwhile.
      if (inHand() === asked) {
        const next = handsFreeNext(state.value, figure, manner)
        state.value = next.state
        if (next.taken !== undefined) take(next.taken)
      }
      await pause(figure === undefined ? pauseMs.afterTrouble : pauseMs.between)
    }
  }
  let taking = false
  /** A second press while the first is asked for is none; and what was read of one place is never said of the next. */
  async function asItIs() {
    if (taking) return
    taking = true
    try {
      const asked = inHand()
      const figure = await ask(false)
      if (figure === undefined || inHand() !== asked) return
      state.value = handsFreeBegun
      take(figure)
    } finally {
      taking = false
    }
  }
  watch(on, now => {
    state.value = handsFreeBegun
    if (now) {
      speak(spoken())
      void follow()
    } else if ('speechSynthesis' in window) window.speechSynthesis.cancel()
  })
  watch(inHand, () => {
    state.value = handsFreeBegun
    if (on.value) speak(spoken())
  })
  useEventListener('keydown', event => {
    if (!on.value || !['PageDown', 'PageUp'].includes(event.key)) return
    event.preventDefault()
    if (event.key === 'PageUp') speak(spoken())
    else void asItIs()
  })
  onBeforeUnmount(() => (on.value = false))
  return { on, told, asItIs }
}
