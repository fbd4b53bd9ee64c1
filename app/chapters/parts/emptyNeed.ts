/** A part that is wanted, before anything of it is typed. */
export const emptyNeed = {
  name: '',
  quantity: '1',
  stops: 'no-start' as const,
  affects: '',
  place: '',
  workaround: '',
  byWhen: null,
  wouldDo: '',
  forFirstStart: '',
  seekerId: null,
  kind: null,
  spec: {},
}
