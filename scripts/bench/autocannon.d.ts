/** What is used of it here; it brings no types of its own. */
declare module 'autocannon' {
  interface Spread {
    p50: number
    p97_5: number
    max: number
  }
  export default function autocannon(options: {
    url: string
    connections: number
    duration: number
    headers: Record<string, string>
  }): Promise<{ latency: Spread; requests: { average: number } }>
}
