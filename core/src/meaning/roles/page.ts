import type { Ruling } from '../../design/role.js'
import { runKeyOf, type RoleReading } from './reading.js'
import { walkViews, type View } from './view.js'

type Found = Omit<RoleReading, 'layer' | 'isRuling'>

/** One page while its roles are read: what was found so far, and how to add to it. */
export class RolePage {
  readonly readings = new Map<string, RoleReading>()

  /** What a person has said comes first; nothing that is found later changes it. */
  constructor(
    readonly root: View,
    rulings: Readonly<Record<string, Ruling>>,
    /** What is known of these layers from wider artboards. */
    known: ReadonlyMap<string, RoleReading>,
  ) {
    walkViews(root, (view) => {
      const before = known.get(view.key)
      if (before) this.readings.set(view.key, before)
      const ruling = rulings[view.key]
      if (!ruling || before) return
      const { role, level, input, required } = ruling
      this.readings.set(view.key, {
        layer: view.key,
        role,
        confidence: 1,
        evidence: ['said by hand'],
        isRuling: true,
        ...(level ? { level: level as NonNullable<RoleReading['level']> } : {}),
        ...(input ? { input } : {}),
        ...(required === undefined ? {} : { isRequired: required }),
      })
    })
  }

  /** Says what a view is, unless that is known: what was found first stays. */
  set(view: View, found: Found): boolean {
    if (this.readings.has(view.key)) return false
    this.readings.set(view.key, { ...found, layer: view.key, isRuling: false })
    return true
  }

  /** Says what a cell of a table is that has nothing else in it; whoever holds it knows that it is a cell. */
  setInCell(view: View, found: Found): boolean {
    const known = this.readings.get(view.key)
    if (known?.role === 'cell' && !known.isRuling) this.readings.delete(view.key)
    return this.set(view, found)
  }

  /** Says what some neighbours in a container are together: a list among other things. */
  setRun(items: readonly View[], found: Found): void {
    const layer = runKeyOf(items[0]!.key)
    if (this.readings.has(layer)) return
    const keys = items.map((item) => item.key)
    this.readings.set(layer, { ...found, layer, items: keys, isRuling: false })
  }

  /** Adds to what is known of a view. */
  amend(view: View, more: Partial<Found>): void {
    const known = this.readings.get(view.key)
    if (known) this.readings.set(view.key, { ...known, ...more })
  }

  roleOf(view: View): RoleReading['role'] | undefined {
    return this.readings.get(view.key)?.role
  }

  /** Whether a view is one of these. */
  is(view: View, ...roles: readonly RoleReading['role'][]): boolean {
    const role = this.roleOf(view)
    return role !== undefined && roles.includes(role)
  }

  /** The views that are one of these or hold one, as far as is known now; found in one walk. */
  holdersOf(...roles: readonly RoleReading['role'][]): ReadonlySet<View> {
    const holders = new Set<View>()
    walkViews(this.root, (view) => {
      if (!this.is(view, ...roles)) return
      for (let at: View | undefined = view; at && !holders.has(at); at = at.parent) holders.add(at)
    })
    return holders
  }

  /** Whether a view, or something it stands in, is one of these. */
  isWithin(view: View, ...roles: readonly RoleReading['role'][]): boolean {
    for (let at: View | undefined = view; at; at = at.parent) {
      if (this.is(at, ...roles)) return true
    }
    return false
  }
}

/** Sums up evidence for and against a role. */
export class Case {
  private sum = 0
  readonly evidence: string[] = []

  for(weight: number, why: string, isSo: boolean): this {
    if (isSo) {
      this.sum += weight
      if (weight > 0) this.evidence.push(why)
    }
    return this
  }

  get confidence(): number {
    return Math.round(Math.max(0, Math.min(0.98, this.sum)) * 100) / 100
  }
}
