import { type H3Event, setResponseHeaders } from 'h3'

/** What follows is a table to take away, with the day in its name. */
export function csvNamed(event: H3Event, what: string, now: Date): void {
  setResponseHeaders(event, {
    'content-type': 'text/csv; charset=utf-8',
    'content-disposition': `attachment; filename="${what}-${now.toISOString().slice(0, 10)}.csv"`,
  })
}
