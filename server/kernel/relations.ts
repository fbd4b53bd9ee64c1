import { ofFaults } from '../chapters/faults/rows'
import { loadedRows } from '../chapters/index'
import { relationsOf } from './rows'

/** The relations that let a machine be read with everything that the chapters keep of it, in one statement. */
export const allRelations = () => Object.fromEntries([...relationsOf(loadedRows()), ...ofFaults].map((r, i) => [`relation${i}`, r]))
