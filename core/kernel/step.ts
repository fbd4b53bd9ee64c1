/** A step of a stage of the run. */
export interface RunStep {
  says: string
  done: boolean
}
export const step = (says: string, done: boolean): RunStep => ({ says, done })
