import type { SessionView } from '#shared/chapters/people/index'
import { commandsOf } from '#shared/chapters/index'
import { anyPeople } from '../chapters/people/index'
import { crewOf } from '../chapters/people/index'
import { minutesBehind } from '../kernel/history/clock-behind'
import { practiceOf } from '../chapters/practice/index'

export default defineAnswer(async (event): Promise<SessionView> => {
  const { db, now } = useBench()
  const person = await personOf(event)
  const needsFirstStart = !anyPeople(db)
  const practice = needsFirstStart ? null : practiceOf(db)
  return {
    person: person && { id: person.id, name: person.name, role: person.role, may: commandsOf(person.role) },
    needsFirstStart,
    crew: person ? crewOf(db) : [],
    collection: practice && { name: practice.name, zone: practice.zone },
    clockBehindMinutes: person ? minutesBehind(db, now()) : 0,
    demoSignIns: person ? [] : demoSignIns(),
  }
})
