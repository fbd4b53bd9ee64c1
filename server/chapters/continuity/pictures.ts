import { hasPlace, pinName } from '#core/continuity/board'
import { apply, inverse, register } from '#core/continuity/registration'
import { damageKinds } from '#core/condition/damage'
import { InputError } from '#core/kernel/input-error'
import type { BoardPicture } from '#shared/chapters/continuity/index'
import type { CommandInput } from '#shared/chapters/index'
import { and, eq, inArray } from 'drizzle-orm'
import type { MachineFile } from '../../kernel/file'
import type { Tx } from '../../kernel/history/journal'
import type { MachineWork } from '../../kernel/work'
import { files } from '../look/index'
import { boardOf, pinsOf } from './boards'
import { boardPictures } from './schema'

/** Finds a board on a photograph from its pins; what fits so badly that a ring would be on the neighbour is not kept. */
export function registerBoard(
  { tx, machine, at, write, file }: MachineWork,
  input: CommandInput<'register-board'>,
): { residualMm: number | null; says: string } {
  const { boardId, photographId, perspective, pairs } = input
  const board = boardOf(tx, boardId)
  if (board.modelId !== machine.modelId) throw new InputError('boardId', boardId, 'Board: choose one of this machine’s model.')
  const photograph = file().photographs.find(p => p.id === photographId)
  if (!photograph) throw new InputError('photographId', photographId, 'Photograph: choose one of this machine.')
  const { widthPx, heightPx } = tx.select().from(files).where(eq(files.hash, photograph.hash)).get()!
  const places = new Map(
    pinsOf(tx, board)
      .filter(hasPlace)
      .map(p => [pinName(p), p]),
  )
  const found = pairs.map(({ pin, x, y }, i) => {
    const place = places.get(pin)
    if (!place) throw new InputError(`pairs.${i}`, pin, `${pin}: the board has no such pin, or no place for it.`)
    return { board: { xMm: place.xMm, yMm: place.yMm }, photo: { x, y } }
  })
  const { matrix, residualMm, mirrored, findings } = register({ pairs: found, widthPx, heightPx, perspective })
  const against = findings.find(f => f.level === 'stop')
  if (against) throw new InputError('pairs', pairs.length, `${against.says} ${against.because.join(' ')}`)
  tx.delete(boardPictures)
    .where(and(eq(boardPictures.machineId, machine.id), eq(boardPictures.boardId, boardId), eq(boardPictures.photographId, photographId)))
    .run()
  tx.insert(boardPictures).values({ machineId: machine.id, boardId, photographId, perspective, pairs, matrix, residualMm, mirrored, at }).run()
  write('board.registered', { board: board.name, photograph: photograph.caption || photograph.name, places: pairs.length, residualMm, mirrored })
  return { residualMm, says: findings[0]?.says ?? '' }
}

type Kept = Pick<MachineFile, 'boardPictures' | 'photographs' | 'damages'>

const sizesOf = (tx: Tx, hashes: string[]) =>
  new Map(
    hashes.length
      ? tx
          .select()
          .from(files)
          .where(inArray(files.hash, hashes))
          .all()
          .map(f => [f.hash, f])
      : [],
  )

/** Photographs of a machine with their sizes, and those on which a board has been found. */
export function picturesOf(tx: Tx, { boardPictures: kept, photographs }: Omit<Kept, 'damages'>) {
  const sizes = sizesOf(
    tx,
    photographs.map(p => p.hash),
  )
  // A board is hardly to be found on the picture of the whole machine.
  const likely = photographs.toSorted((a, b) => Number(a.portrait) - Number(b.portrait))
  const all = likely.map(({ id, hash, caption, name }) => ({
    id,
    hash,
    caption: caption || name,
    widthPx: sizes.get(hash)!.widthPx,
    heightPx: sizes.get(hash)!.heightPx,
  }))
  const pictures = kept.flatMap(({ id, boardId, photographId, matrix, residualMm, mirrored }): BoardPicture[] => {
    const photograph = all.find(p => p.id === photographId)
    return photograph ? [{ ...photograph, id, boardId, photographId, matrix, residualMm, mirrored }] : []
  })
  return { photographs: all, pictures }
}

/** Damage that is outlined on such a photograph, carried over to the board. */
export const zonesOf = ({ damages }: Pick<Kept, 'damages'>, pictures: readonly BoardPicture[]) =>
  pictures.flatMap(({ boardId, photographId, matrix, widthPx, heightPx }) => {
    const back = inverse(matrix)
    return damages.flatMap(d => {
      if (!back || d.photographId !== photographId || d.mark?.form !== 'polygon') return []
      const outline = d.mark.points.map(([x, y]): [number, number] => {
        const [xMm, yMm] = apply(back, x * widthPx, y * heightPx)
        return [Math.round(xMm * 100) / 100, Math.round(yMm * 100) / 100]
      })
      return [{ boardId, says: `${damageKinds[d.kind]}, ${d.where}`, outline }]
    })
  })
