import type { InjectionKey } from 'vue'

/** The panel that a form stands in, so that what was typed there can be found again. */
export const panelKey: InjectionKey<string> = Symbol('panel')
