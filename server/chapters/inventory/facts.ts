import type { InventoryRecord } from '#core/identify/inventory/rules'
import type { MachineFile } from '../../kernel/file'

/** What the core is told of what it is made of. */
export const facts = ({ inventoryLines, model }: MachineFile): InventoryRecord => ({ inventory: inventoryLines, modelSockets: model?.sockets ?? [] })
