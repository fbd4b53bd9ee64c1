/** The address of a machine's sheet as it stands on labels; and whether a telephone could reach it. */
export function useMachineAddress() {
  const { origin, hostname } = window.location
  return { addressOf: (tag: string) => `${origin}/m/${encodeURIComponent(tag)}`, thisComputerOnly: ['localhost', '127.0.0.1', '[::1]'].includes(hostname) }
}
