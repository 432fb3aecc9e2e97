import { notes } from '../notes/catalogue.js'
import type { Note } from '../notes/note.js'

/** Collects what of a design is not carried over exactly, layer by layer. Lives for one conversion. */
export class Account {
  readonly notes: Note[] = []

  approximated(layer: string, property: string, how: string): void {
    this.notes.push(notes.propertyApproximated(layer, property, how))
  }

  lost(layer: string, property: string, why: string): void {
    this.notes.push(notes.propertyLost(layer, property, why))
  }

  add(note: Note): void {
    this.notes.push(note)
  }
}
