import { serverChapter } from '../../kernel/chapter'
import * as schema from './schema'
import { workshopView } from './view'
import { bookThing, endBooking } from './book'
import { rows } from './rows'
import { addMaterial, addThing, changeMaterial, changeThing, useMaterial } from './shelf'

/** Shared things and the shelf: what can be done, and what is loaded with a machine. */
export const workshopChapter = serverChapter({
  name: 'workshop',
  schema,
  view: workshopView,
  onMachine: { 'book-thing': bookThing, 'end-booking': endBooking, 'use-material': useMaterial },
  onCollection: { 'add-thing': addThing, 'change-thing': changeThing, 'add-material': addMaterial, 'change-material': changeMaterial },
  rows,
})
export * from './schema'
export * from './shelf'
export * from './view'
