import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { immersive, lookUp } from './methods'
import { type PlanPart, guessMaterials, guessSoils, planCleaning } from './plan'
import { materialNames, materials, methods, soilNames } from './words'

const usual = { boards: 'wash', plastic: 'whiten' } as const
const board: PlanPart = {
  name: 'Main board',
  materials: ['masked-board', 'tin-contacts', 'speaker', 'paper'],
  soils: ['alkali', 'dust', 'grease'],
  works: 'dead',
  socketed: true,
}
const keyboard: PlanPart = { name: 'Keyboard', materials: ['abs', 'legends'], soils: ['dust', 'grease'], works: 'not-known' }
const said = (parts: PlanPart[], schools: Parameters<typeof planCleaning>[0]['schools'] = usual) => planCleaning({ parts, schools }).steps.map(s => s.says)
const at = (steps: string[], words: string) => steps.findIndex(s => s.includes(words))

describe('a plan of cleaning', () => {
  it('takes hazards first over all parts, loose before wet, and off what must stay dry', () => {
    const steps = said([keyboard, board])
    expect(steps[0]).toBe('Neutralise with a mild acid: main board')
    expect(at(steps, 'Look again at main board')).toBe(1)
    expect(at(steps, 'Brush and vacuum: main board')).toBeLessThan(at(steps, 'Wet wash and low bake: main board'))
    expect(at(steps, 'Take off or keep dry, main board: paper label, speaker, chips in sockets')).toBeLessThan(at(steps, 'Wet wash and low bake: main board'))
    expect(at(steps, 'Photograph main board')).toBeGreaterThan(0)
    expect(at(steps, 'Seal bare copper on main board')).toBeGreaterThan(at(steps, 'Wet wash and low bake: main board'))
  })

  it('wants a short test before hours of cosmetic work on what nobody has seen working, and not otherwise', () => {
    expect(at(said([keyboard]), 'Test keyboard briefly')).toBeLessThan(at(said([keyboard]), 'Soapy water: keyboard'))
    expect(at(said([keyboard]), 'Test keyboard briefly')).toBeGreaterThan(0)
    expect(at(said([{ ...keyboard, works: 'works' }]), 'Test keyboard')).toBe(-1)
    expect(at(said([{ ...keyboard, soils: ['dust'] }]), 'Test keyboard')).toBe(-1)
  })

  it('does not wash a board that works like one that is dead', () => {
    expect(at(said([{ ...board, works: 'works' }]), 'Wet wash')).toBe(-1)
    expect(at(said([{ ...board, works: 'works' }]), 'Solvent wipe: main board')).toBeGreaterThan(0)
  })

  it('follows the school for yellowed plastic', () => {
    const bezel: PlanPart = { name: 'Bezel', materials: ['abs'], soils: ['yellowing'], works: 'works' }
    expect(said([bezel])).toEqual(['Whitening: bezel'])
    const left = planCleaning({ parts: [bezel], schools: { boards: 'spot', plastic: 'leave' } })
    expect([left.steps, left.findings[0]!.code]).toEqual([[], 'plan.patina'])
  })

  it('sets nobody to what is not known', () => {
    const mystery = planCleaning({ parts: [{ name: 'Thing', materials: [], soils: ['grease'], works: 'dead' }], schools: usual })
    expect([mystery.steps.map(s => s.kind), mystery.findings[0]!.code]).toEqual([['find-out'], 'plan.material-unknown'])
  })

  it('never sets a method to a material or a soil that the table forbids, and dries what was wet', () => {
    const names = Object.fromEntries(Object.entries(materials).map(([key, title]) => [title.toLowerCase(), key as keyof typeof materials]))
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...materialNames), { maxLength: 8 }),
        fc.uniqueArray(fc.constantFrom(...soilNames), { maxLength: 8 }),
        fc.constantFrom('works', 'dead', 'not-known'),
        fc.constantFrom('spot', 'wash', 'ultrasonic'),
        fc.constantFrom('leave', 'whiten'),
        (made, soiled, works, boards, plastic) => {
          const { steps } = planCleaning({ parts: [{ name: 'Part', materials: made, soils: soiled, works }], schools: { boards, plastic } })
          for (const step of steps.filter(s => s.kind === 'method')) {
            const touched = made.filter(m =>
              step.why.split('. With care')[0]!.toLowerCase().split(' on ')[1]!.split(/, |\./).includes(materials[m].toLowerCase()),
            )
            expect(touched.length).toBeGreaterThan(0)
            for (const material of touched)
              expect(soiled.some(soil => lookUp(step.method!, names[materials[material].toLowerCase()]!, soil).suits !== 'never')).toBe(true)
            if (immersive.includes(step.method!)) expect(step.wait, methods[step.method!]).not.toBeNull()
          }
        },
      ),
    )
  })

  it('guesses materials from names and soils from damage, and takes a crust for residue only where something has leaked', () => {
    expect(guessMaterials('Sealed keyboard membrane')).toContain('membrane')
    expect(guessMaterials('Something else')).toEqual([])
    const crust = [{ kind: 'crust', where: 'by the clock chip' }] as const
    expect(guessSoils(crust, 'alkali')).toEqual(['dust', 'alkali'])
    expect(guessSoils(crust, null)).toEqual(['dust', 'electrolyte'])
  })
})
