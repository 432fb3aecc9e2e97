import { notes } from '../notes/catalogue.js'
import type { Note } from '../notes/note.js'

/** Collects what of a design is not carried over exactly, layer by layer. Lives for one conversion. */
export class Account {
  readonly notes: Note[] = []
  private readonly known = new Set<string>()

  approximated(layer: string, property: string, how: string): void {
    this.add(notes.propertyApproximated(layer, property, how))
  }

  lost(layer: string, property: string, why: string): void {
    this.add(notes.propertyLost(layer, property, why))
  }

  /** Once each: what holds at several widths is said once. */
  add(note: Note): void {
    const id = JSON.stringify(note)
    if (this.known.has(id)) return
    this.known.add(id)
    this.notes.push(note)
  }
}
