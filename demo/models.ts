import type { ExpectedRail } from '#shared/contracts/shapes'

const rail = (name: string, nominalV: number, tolerancePct?: number): ExpectedRail => tolerancePct ? { name, nominalV, tolerancePct } : { name, nominalV }
const classic = [rail('+5 V', 5), rail('+12 V', 12), rail('-12 V', -12)]

/** What the museum knows of the models it keeps. Makers and models are invented. */
export const models = {
  'petrel-8': { maker: 'Tarnwick Instruments', name: 'Petrel 8', about: 'Home and classroom micro, 8-bit, external 9 V supply, three-rail memory.', usualKit: ['External supply', 'Cassette lead', 'Manual'], assemblies: ['External supply', 'Main board', 'Keyboard', 'Modulator', 'Case'], rails: [rail('+5 V', 5), rail('+12 V', 12), rail('-5 V', -5)] },
  'petrel-8s': { maker: 'Tarnwick Instruments', name: 'Petrel 8S', about: 'Later board issue of the Petrel 8, with a clock chip and a 3.6 V nickel barrel beside it.', usualKit: ['External supply', 'Cassette lead', 'Manual'], assemblies: ['External supply', 'Main board', 'Keyboard', 'Clock battery', 'Modulator', 'Case'], rails: [rail('+5 V', 5)] },
  'sextant-16': { maker: 'Oriel & Fyfe', name: 'Sextant 16', about: 'Office desktop with two drives and a card cage. 21 kg.', usualKit: ['Keyboard', 'Display', 'Mains lead', 'Manual'], assemblies: ['Supply', 'Main board', 'Card cage', 'Drive A', 'Drive B', 'Keyboard', 'Display', 'Case'], rails: classic },
  'buoymaster': { maker: 'Brackmere Data', name: 'Buoymaster', about: 'Minicomputer built into a desk. Addresses in octal. 118 kg.', usualKit: ['Front panel key', 'Service binder', 'Paper tape'], assemblies: ['Supply', 'Processor cards', 'Core and memory cards', 'Front panel', 'Disk drive', 'Terminal', 'Desk'], rails: [rail('+5 V', 5), rail('+15 V', 15), rail('-15 V', -15)] },
  'lumen': { maker: 'Solvane', name: 'Lumen', about: 'Portable with a built-in picture tube. 11 kg.', usualKit: ['Mains lead', 'Carrying strap'], assemblies: ['Supply', 'Main board', 'Picture tube and its board', 'Keyboard', 'Drive', 'Bezel', 'Case'], rails: classic },
  'gannet': { maker: 'Pentreath Micro', name: 'Gannet', about: 'Ticket terminal with a sealed membrane keyboard.', usualKit: ['Mains lead'], assemblies: ['Supply', 'Main board', 'Membrane keyboard', 'Display', 'Case'], rails: [rail('+5 V', 5), rail('+12 V', 12)] },
  'spindrift': { maker: 'Halgarth', name: 'Spindrift', about: 'Clone-style desktop with a soldered clock battery.', usualKit: ['Keyboard', 'Mains lead'], assemblies: ['Supply', 'Main board', 'Video card', 'Drive controller', 'Hard drive', 'Keyboard', 'Case'], rails: [...classic, rail('-5 V', -5)] },
} as const satisfies Record<string, { maker: string, name: string, about: string, usualKit: string[], assemblies: string[], rails: ExpectedRail[] }>

export type ModelKey = keyof typeof models
