/** What a net does, as the model's notes have it. */
export interface NetFunction {
  net: string
  /** Such as *data line 3 of the keyboard port*. */
  does: string
}
export interface Explained {
  net: string
  does: string
}

/** Lines of notes that were read: `KD3: data line 3 of the keyboard port`; a star in the net stands for anything. */
export function readFunctions(text: string): { functions: NetFunction[]; problems: { line: number; message: string }[] } {
  const functions: NetFunction[] = []
  const problems: { line: number; message: string }[] = []
  text.split('\n').forEach((raw, i) => {
    const line = raw.trim()
    if (!line) return
    const [, net = '', does = ''] = /^(\S+?)\s*[:=]\s*(.+)$/.exec(line) ?? /^(\S+)\s+(.+)$/.exec(line) ?? []
    if (!net || !does) problems.push({ line: i + 1, message: `“${line.slice(0, 40)}”: write the net, a colon, and what it does.` })
    else if (net.length > 120 || does.length > 120) problems.push({ line: i + 1, message: 'Up to 120 characters each, please.' })
    else functions.push({ net, does })
  })
  return { functions, problems }
}

/** What hangs on broken nets, each by the note that names it most closely; nets that no note names are left out. */
export function explained(nets: readonly string[], functions: readonly NetFunction[]): Explained[] {
  return nets.flatMap(net => {
    const fitting = functions.filter(f => matches(f.net, net)).sort((a, b) => b.net.replaceAll('*', '').length - a.net.replaceAll('*', '').length)
    return fitting[0] ? [{ net, does: fitting[0].does }] : []
  })
}

/** Without regular expressions, so that no pattern takes long. */
function matches(pattern: string, net: string): boolean {
  const parts = pattern.toLowerCase().split('*')
  const name = net.toLowerCase()
  if (parts.length === 1) return parts[0] === name
  if (!name.startsWith(parts[0]!) || !name.endsWith(parts.at(-1)!) || name.length < parts[0]!.length + parts.at(-1)!.length) return false
  let at = parts[0]!.length
  const end = name.length - parts.at(-1)!.length
  for (const part of parts.slice(1, -1)) {
    const found = name.indexOf(part, at)
    if (found < 0 || found + part.length > end) return false
    at = found + part.length
  }
  return true
}
