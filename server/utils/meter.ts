import { MeterDesk } from '../chapters/meter/desk'
import { practiceOf } from '../chapters/practice/index'
import { useBench } from './bench'

let desk: MeterDesk | undefined

/** The one meter of this process, at the address that the practice says. */
export function useMeterDesk(): MeterDesk {
  return (desk ??= new MeterDesk(
    () => {
      const { meterHost, meterPort } = practiceOf(useBench().db)
      return { host: meterHost, port: meterPort }
    },
    () => useBench().now().getTime(),
  ))
}
