import type { Role } from '#shared/contracts/vocabulary'

/** The made-up people of Skerrow Head. Their passwords are shown on the demo's sign-in page. */
export const people = [
  { name: 'Ilka Brandvold', signInName: 'ilka', role: 'coordinator', password: 'lantern-room-7' },
  { name: 'Baraka Otieno', signInName: 'baraka', role: 'volunteer', password: 'slack-water-12' },
  { name: 'Maeve Corrigan', signInName: 'maeve', role: 'volunteer', password: 'bell-buoy-44' },
  { name: 'Teodor Vlasak', signInName: 'teodor', role: 'volunteer', password: 'spring-tide-9' },
  { name: 'Sunniva Aasen', signInName: 'sunniva', role: 'volunteer', password: 'fog-signal-31' },
  { name: 'Joaquim Serrao', signInName: 'joaquim', role: 'volunteer', password: 'pilot-cutter-5' },
  { name: 'Hanneke Dros', signInName: 'hanneke', role: 'volunteer', password: 'harbour-light-2' },
  { name: 'Rua Tamihana', signInName: 'rua', role: 'volunteer', password: 'north-cardinal-8' },
  { name: 'Petra Lindqvist', signInName: 'petra', role: 'reader', password: 'chart-table-16' },
] as const satisfies { name: string, signInName: string, role: Role, password: string }[]

export type Who = (typeof people)[number]['signInName']
