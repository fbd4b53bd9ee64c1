import type { Db } from './db'
import type { MachineFile } from './file'
import type { Tx } from './history/journal'
import { loadFile, reloadFile } from './load'
import type { Table } from './rows'

/** The files of the machines that one command has to do with. */
export interface Files {
  /** The transaction, which notes what is written in it. */
  tx: Tx
  /** A machine's file as it stands now: loaded once, and after that only what has been written since. */
  ofNow: (machineId: number) => MachineFile
  /** Lets go of a machine's file. */
  forget: (machineId: number) => void
}

/** Notes which tables a transaction writes, so that nothing that stands as it was loaded is loaded again. */
export function filesOf(db: Db, tx: Tx): Files {
  const loaded = new Map<number, { file: MachineFile; written: Set<Table> }>()
  const noting = (table: Table) => {
    for (const { written } of loaded.values()) written.add(table)
  }
  return {
    tx: {
      select: tx.select.bind(tx),
      all: tx.all.bind(tx),
      get: tx.get.bind(tx),
      // A sentence of SQL may write anywhere.
      run: query => {
        loaded.clear()
        return tx.run(query)
      },
      insert: table => (noting(table), tx.insert(table)),
      update: table => (noting(table), tx.update(table)),
      delete: table => (noting(table), tx.delete(table)),
    },
    ofNow: machineId => {
      const before = loaded.get(machineId)
      if (before && !before.written.size) return before.file
      const file = before ? reloadFile(db, before.file, before.written) : loadFile(db, machineId)
      loaded.set(machineId, { file, written: new Set() })
      return file
    },
    forget: machineId => void loaded.delete(machineId),
  }
}
