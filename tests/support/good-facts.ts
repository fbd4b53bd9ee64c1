/** Facts for power of a machine in which nothing stands in the way; tests change what differs. */
export const goodFacts = {
  filterCapacitors: 'replaced',
  battery: 'out',
  liquidOrDirt: 'no',
  burntTrace: 'no',
  shortedRail: 'no',
  mainsLead: 'sound',
  supply: 'known',
  fan: 'none-fitted',
  pictureTube: 'none',
  wiring: 'known',
  smoke: 'no',
}
