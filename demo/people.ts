import type { Skill } from '#core/kernel/skills'
import type { Role } from '#shared/kernel/roles'

/** The made-up people of Skerrow Head. Their passwords are shown on the demo's sign-in page. */
export const people = [
  { name: 'Ilka Brandvold', signInName: 'ilka', role: 'coordinator', password: 'lantern-room-7', skills: ['mains', 'inspection', 'lifting'] },
  { name: 'Baraka Otieno', signInName: 'baraka', role: 'volunteer', password: 'slack-water-12', skills: ['mains', 'fine-rework', 'inspection'] },
  { name: 'Maeve Corrigan', signInName: 'maeve', role: 'volunteer', password: 'bell-buoy-44', skills: ['fine-rework'] },
  { name: 'Teodor Vlasak', signInName: 'teodor', role: 'volunteer', password: 'spring-tide-9', skills: ['mains', 'picture-tube', 'inspection'] },
  { name: 'Sunniva Aasen', signInName: 'sunniva', role: 'volunteer', password: 'fog-signal-31', skills: ['lifting'] },
  { name: 'Joaquim Serrao', signInName: 'joaquim', role: 'volunteer', password: 'pilot-cutter-5', skills: ['fine-rework'] },
  { name: 'Hanneke Dros', signInName: 'hanneke', role: 'volunteer', password: 'harbour-light-2', skills: ['lifting'] },
  { name: 'Rua Tamihana', signInName: 'rua', role: 'volunteer', password: 'north-cardinal-8', skills: [] },
  { name: 'Petra Lindqvist', signInName: 'petra', role: 'reader', password: 'chart-table-16', skills: [] },
] as const satisfies { name: string; signInName: string; role: Role; password: string; skills: readonly Skill[] }[]

export type Who = (typeof people)[number]['signInName']
