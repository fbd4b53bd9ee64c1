/**
 * What an assembly is for decides where it goes in when a machine is built up, what it is tried with, and whether it is the supply alone that runs. A
 * person says which; its name only proposes, and is shown as such until somebody looks. Common practice, no source.
 */
export const assemblyRoles = {
  'supply': { title: 'Supply', words: /supply|psu|transformer/i },
  'backplane': { title: 'Backplane', words: /backplane|card cage/i },
  'main-board': { title: 'Main board', words: /main board|mainboard|processor|cpu|system board|^board$/i },
  'memory': { title: 'Memory', words: /memory|ram/i },
  'video': { title: 'Video', words: /video|graphic|modulator/i },
  'display': { title: 'Display', words: /display|monitor|tube|screen|\blcd\b/i },
  'keyboard': { title: 'Keyboard', words: /keyboard|membrane|keys/i },
  'controller': { title: 'Drive controller', words: /controller/i },
  'drive': { title: 'Drive', words: /drive|disk|disc|tape|cassette/i },
  'sound': { title: 'Sound', words: /sound|speaker|audio/i },
  'fan': { title: 'Fan', words: /fan/i },
  'ports': { title: 'Ports or a card', words: /port|serial|parallel|network|card/i },
  'case': { title: 'Case', words: /case|cover|lid|bezel|cabinet|desk/i },
  'other': { title: 'Something else', words: null },
} as const satisfies Record<string, { title: string; words: RegExp | null }>
export type AssemblyRole = keyof typeof assemblyRoles
export const assemblyRoleNames = Object.keys(assemblyRoles) as [AssemblyRole, ...AssemblyRole[]]

export interface NamedPart {
  name: string
  /** What somebody said it is for; nothing where nobody has. */
  role: AssemblyRole | null
}

/** What its name proposes; `other` where it says nothing that is known. */
export const proposedRole = (name: string): AssemblyRole => assemblyRoleNames.find(role => assemblyRoles[role].words?.test(name)) ?? 'other'
/** What it counts as: what was said, else what its name proposes. */
export const roleOf = ({ name, role }: NamedPart): AssemblyRole => role ?? proposedRole(name)
