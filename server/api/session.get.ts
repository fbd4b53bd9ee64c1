import type { SessionView } from '#shared/contracts/views'
import { commandsOf } from '../access/permissions'
import { anyPeople } from '../services/people'
import { crewOf } from '../services/skills'
import { practiceOf } from '../services/practice'

export default defineAnswer(async (event): Promise<SessionView> => {
  const { db } = useBench()
  const person = await personOf(event)
  const needsFirstStart = !anyPeople(db)
  const practice = needsFirstStart ? null : practiceOf(db)
  return {
    person: person && { id: person.id, name: person.name, role: person.role, may: commandsOf(person.role) },
    needsFirstStart,
    crew: person ? crewOf(db) : [],
    collection: practice && { name: practice.name, zone: practice.zone },
    demoSignIns: person ? [] : demoSignIns(),
  }
})
