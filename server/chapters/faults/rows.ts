import { relations } from 'drizzle-orm'
import { type RowsOf, inner, nesting } from '../../kernel/rows'
import { attempts, faults, observations, repairs, theories } from './schema'

export const rows = {
  faults: nesting(faults, { observations: inner(observations), repairs: inner(repairs), attempts: inner(attempts), theories: inner(theories) }),
}
type FaultsRows = {
  faults: (RowsOf<typeof rows>['faults'][number] & {
    observations: (typeof observations.$inferSelect)[]
    repairs: (typeof repairs.$inferSelect)[]
    attempts: (typeof attempts.$inferSelect)[]
    theories: (typeof theories.$inferSelect)[]
  })[]
}
export const ofFaults = [
  relations(faults, ({ many }) => ({ observations: many(observations), repairs: many(repairs), attempts: many(attempts), theories: many(theories) })),
  relations(observations, ({ one }) => ({ fault: one(faults, { fields: [observations.faultId], references: [faults.id] }) })),
  relations(attempts, ({ one }) => ({ fault: one(faults, { fields: [attempts.faultId], references: [faults.id] }) })),
  relations(theories, ({ one }) => ({ fault: one(faults, { fields: [theories.faultId], references: [faults.id] }) })),
  relations(repairs, ({ one }) => ({ fault: one(faults, { fields: [repairs.faultId], references: [faults.id] }) })),
]

declare module '../../kernel/file' {
  interface MachineFile extends FaultsRows {}
}
