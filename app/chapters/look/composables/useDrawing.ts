import { type MarkForm, type Point, leastPoints } from '#core/condition/marks'

export interface Drawn {
  form: MarkForm
  points: Point[]
}

/** Points being set on a photograph, one after the other; what they are for is known to whoever began. */
export function useDrawing() {
  const purpose = ref<string>()
  const form = ref<MarkForm>('polygon')
  const points = ref<Point[]>([])
  let most = Infinity
  let done: (drawn: Drawn) => void = () => {}

  function leave() {
    purpose.value = undefined
    points.value = []
  }
  const enough = computed(() => points.value.length >= leastPoints[form.value])
  function finish() {
    if (!purpose.value || !enough.value) return
    const drawn = { form: form.value, points: [...points.value] }
    leave()
    done(drawn)
  }
  return {
    purpose,
    form,
    points,
    enough,
    leave,
    finish,
    active: computed(() => purpose.value !== undefined),
    /** @param upTo so many points end it by themselves */
    begin(what: string, as: MarkForm, then: (drawn: Drawn) => void, upTo = as === 'point' ? 1 : Infinity) {
      ;[purpose.value, form.value, points.value, most, done] = [what, as, [], upTo, then]
    },
    add(at: Point) {
      points.value = [...points.value, at]
      if (points.value.length >= most) finish()
    },
    undo: () => (points.value = points.value.slice(0, -1)),
  }
}
export type Drawing = ReturnType<typeof useDrawing>
