import { resolveInstances } from '../design/resolve-instances.js'
import type { Ruling } from '../design/role.js'
import { inferLayout } from '../layout/index.js'
import { findTitle } from '../meaning/find-title.js'
import { readRoles, type RoleReading } from '../meaning/roles/index.js'
import { composeScreen, screenOptions } from '../responsive/index.js'
import { createTableMeasure } from '../text/measure.js'
import { design, frame, layer } from './design.js'
import { at, words } from './page.js'

type Json = Record<string, unknown>
const measure = createTableMeasure()

export const solid = (color: string): Json => ({ fills: [{ kind: 'solid', color }] })
export const outline = (color = '#c9c9c9', dash: number[] = []): Json => ({
  strokes: [{ paint: { kind: 'solid', color }, width: 1, align: 'inside', dash }],
})

/** Nobody named anything: roles come from shape, place and words. */
export const box = (key: string, place: Json, rest: Json = {}): Json =>
  layer('rectangle', key, { name: 'Rectangle', ...place, ...rest })
export const field = (key: string, x: number, y: number, width = 400, height = 40): Json =>
  box(key, at(x, y, width, height), { ...solid('#ffffff'), ...outline(), radius: 4 })
export const inColor = (
  color: string,
  key: string,
  content: string,
  x: number,
  y: number,
  size = 16,
): Json => ({
  ...words(key, content, x, y, size),
  style: { family: 'Inter', size, lineHeight: Math.round(size * 1.5), color },
})
export const pale = (key: string, content: string, x: number, y: number): Json =>
  inColor('#8a8a8a', key, content, x, y)
export const arrow = (key: string, x: number, y: number): Json =>
  layer('path', key, {
    name: 'Vector',
    ...at(x, y, 10, 6),
    paths: [{ d: 'M0 0L5 6L10 0' }],
    ...outline('#333333'),
  })

type PageLook = { readonly height?: number; readonly width?: number; readonly fill?: string }

/** What the layers of a page are read to be, by their keys. */
export const readPage = (
  children: Json[],
  { height = 900, width = 1280, fill = '#ffffff' }: PageLook = {},
  rulings: Record<string, Ruling> = {},
): ReadonlyMap<string, RoleReading> => {
  const made = design([frame('page', children, { ...at(0, 0, width, height), ...solid(fill) })])
  const root = resolveInstances(made)[0]!
  const tree = inferLayout(root, { measure, assets: {} })
  const { steps } = composeScreen([tree], screenOptions(made, measure, true))
  return readRoles(
    [...steps].reverse().map((step) => step.root),
    { rulings, title: findTitle(root) },
  )
}

export const roleOf = (roles: ReadonlyMap<string, RoleReading>, key: string): string | undefined =>
  roles.get(key)?.role
