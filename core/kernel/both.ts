/** Of types of which each holds alone, the one in which all of them hold together. */
export type Both<U> = (U extends unknown ? (u: U) => void : never) extends (i: infer I) => void ? I : never
